<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Database\PostgresConnection;
use Illuminate\Database\Query\Grammars\PostgresGrammar;
use Illuminate\Database\QueryException;

/**
 * Says which query failed and why, and nothing of what was in it: names, marks and addresses stay out of the logs,
 * of failed jobs and of whatever else writes an exception down.
 */
final class QuietConnection extends PostgresConnection
{
    private const GONE = 'server closed the connection unexpectedly';

    /**
     * @param  string  $query
     * @param  array<array-key, mixed>  $bindings
     *
     * @throws QueryException
     */
    protected function runQueryCallback($query, $bindings, Closure $callback): mixed
    {
        try {
            return parent::runQueryCallback($query, $bindings, $callback);
        } catch (QueryException $fault) {
            throw new ($fault::class)(
                (string) $this->getName(),
                $fault->getSql(),
                [],
                self::withoutDetail($fault),
                [],
                $fault->readWriteType,
            );
        }
    }

    /**
     * Whatever is done in there stands or falls as one. A lock on a row remembers every savepoint that asked for it, so that
     * thousands of them in one transaction make each query slower than the one before.
     *
     * @param  Closure(): void  $much
     *
     * @throws \Throwable what is thrown in there, after all of it was taken back
     */
    public function asOne(Closure $much): void
    {
        $grammar = $this->getQueryGrammar();
        $this->setQueryGrammar(new class($this) extends PostgresGrammar
        {
            public function supportsSavepoints(): bool
            {
                return false;
            }
        });
        try {
            $this->transaction($much);
        } finally {
            $this->setQueryGrammar($grammar);
        }
    }

    /** PostgreSQL's DETAIL and CONTEXT lines quote the row; its first line does not. What it quotes in that is left out. */
    private static function withoutDetail(QueryException $fault): \PDOException
    {
        $whole = $fault->getPrevious()?->getMessage() ?? '';
        $said = (string) strtok($whole, "\n");
        // In its second line the driver says that the connection is gone. That quotes nothing, and whoever holds the connection goes by it.
        if (str_contains($whole, self::GONE) && ! str_contains($said, self::GONE)) {
            $said .= ' '.self::GONE;
        }
        $info = $fault->errorInfo === null ? null : [$fault->errorInfo[0] ?? null, $fault->errorInfo[1] ?? null, $said];

        return new QuietFault((string) preg_replace('/: "[^"]*"$/', '', $said), $fault->getCode(), $info);
    }
}
