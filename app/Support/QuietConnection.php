<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Database\PostgresConnection;
use Illuminate\Database\QueryException;

/**
 * Says which query failed and why, and nothing of what was in it: names, marks and addresses stay out of the logs,
 * of failed jobs and of whatever else writes an exception down.
 */
final class QuietConnection extends PostgresConnection
{
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

    /** PostgreSQL's DETAIL and CONTEXT lines quote the row; its first line does not. What it quotes in that is left out. */
    private static function withoutDetail(QueryException $fault): \PDOException
    {
        $said = (string) strtok($fault->getPrevious()?->getMessage() ?? '', "\n");
        $info = $fault->errorInfo === null ? null : [$fault->errorInfo[0] ?? null, $fault->errorInfo[1] ?? null, $said];

        return new QuietFault((string) preg_replace('/: "[^"]*"$/', '', $said), $fault->getCode(), $info);
    }
}
