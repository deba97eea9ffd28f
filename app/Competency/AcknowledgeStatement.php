<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Events\StatementAcknowledged;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Competency\Stage;

/** The learner puts their own name to the statement, before the instructor signs. */
final class AcknowledgeStatement
{
    public function __construct(private readonly RecordEntry $record, private readonly Standings $standings)
    {
    }

    /** @throws Refusal `statement_changed`, `not_ready` below stage 4, `already_acknowledged`, `id_used` */
    public function __invoke(User $learner, Permit $permit, int $version, ?CarbonImmutable $at = null, ?string $id = null): LedgerEntry
    {
        return DB::transaction(function () use ($learner, $permit, $version, $at, $id): LedgerEntry {
            User::query()->whereKey($learner->id)->lockForUpdate()->firstOrFail();
            $known = $id === null ? null : LedgerEntry::query()->where('id', $id)->first();
            if ($known !== null) {
                return $known->says(
                    $learner,
                    $permit,
                    'statement_acknowledged',
                    $learner,
                ) && $known->details()['statement_version'] === $version
                    ? $known : throw Refusal::idUsed();
            }
            $statement = $permit->statementInForce();
            if ($statement->version !== $version) {
                throw Refusal::because('statement_changed');
            }
            $standing = $this->standings->one($learner, $permit);
            if ($standing->place->stage->value < Stage::Drilled->value) {
                throw Refusal::because('not_ready', says: 'acknowledge_later');
            }
            if ($standing->record->acknowledged === $version) {
                throw Refusal::because('already_acknowledged');
            }
            $entry = ($this->record)(
                $learner,
                $permit,
                'statement_acknowledged',
                [
                    'statement_version' => $statement->version,
                    'statement' => $statement->body,
                    'language' => app()->getLocale(),
                ],
                $learner,
                $at,
                $id,
            );
            StatementAcknowledged::dispatch($learner->id, $permit->id);

            return $entry;
        });
    }
}
