<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use MillStep\Core\Competency\Stage;

/** The learner puts their own name to the statement, before the instructor signs. */
final class AcknowledgeStatement
{
    public function __construct(private readonly RecordEntry $record, private readonly Standings $standings)
    {
    }

    /** @throws Refusal `statement_changed`, or `not_ready` below stage 4 */
    public function __invoke(User $learner, Permit $permit, int $version, ?CarbonImmutable $at = null, ?string $id = null): LedgerEntry
    {
        $statement = $permit->statementInForce();
        if ($statement->version !== $version) {
            throw Refusal::because('statement_changed', 'The statement has changed since you opened it. Read the new text, then acknowledge it.');
        }
        if ($this->standings->one($learner, $permit)->stage->value < Stage::Drilled->value) {
            throw Refusal::because('not_ready', 'The statement can be acknowledged once the practical assessment is passed.');
        }

        return ($this->record)($learner, $permit, 'statement_acknowledged', [
            'statement_version' => $statement->version,
            'statement' => $statement->body,
        ], $learner, $at, $id);
    }
}
