<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\Pin;
use App\People\User;
use App\Support\Refusal;
use App\Workshop\Policy;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Competency\Stage;

/** The instructor's signature: what it covers, for how long, on which words. There is no override. */
final class SignOff
{
    public function __construct(
        private readonly RecordEntry $record,
        private readonly Standings $standings,
        private readonly Pin $pin,
    ) {
    }

    /**
     * @param  array{materials?: list<string>, operations?: list<string>, max_diameter_mm?: float, companion?: bool}  $scope
     *
     * @throws Refusal `own_record`, `not_authorised`, `not_ready`, `not_acknowledged`, `held`, `guardian_missing` or a PIN's
     */
    public function __invoke(User $learner, Permit $permit, User $instructor, #[\SensitiveParameter] string $pin, array $scope, CarbonImmutable $validUntil, ?string $id = null): LedgerEntry
    {
        $this->allowed($learner, $permit, $instructor);
        // Outside the transaction: a wrong PIN is counted even though nothing is signed.
        $this->pin->confirm($instructor, $pin);

        return DB::transaction(function () use ($learner, $permit, $instructor, $scope, $validUntil, $id): LedgerEntry {
            $known = $id === null ? null : LedgerEntry::query()->where('id', $id)->first();
            if ($known !== null) {
                return $known;
            }
            $this->ready($learner, $permit);
            $statement = $permit->statementInForce();

            return ($this->record)($learner, $permit, 'signed_off', [
                'statement_version' => $statement->version,
                'statement' => $statement->body,
                'scope' => (object) $scope,
                'valid_until' => $validUntil->utc()->toIso8601ZuluString(),
            ], $instructor, id: $id);
        });
    }

    private function allowed(User $learner, Permit $permit, User $instructor): void
    {
        if ($learner->is($instructor)) {
            throw Refusal::forbidden('own_record', 'Nobody signs for themselves. Ask another instructor.');
        }
        if (! $instructor->teaches() || ! $instructor->signsFor()->whereKey($permit->id)->exists()) {
            throw Refusal::forbidden('not_authorised', "You are not authorised to sign for \"{$permit->name}\". The shop lead can authorise you.");
        }
    }

    private function ready(User $learner, Permit $permit): void
    {
        $place = $this->standings->one($learner, $permit);
        if ($place->stage->value < Stage::Drilled->value) {
            throw Refusal::because('not_ready', sprintf('%s is at stage %d of 5. A sign-off needs stage 4: lessons, safety check, practice and practical assessment done.', $learner->name, $place->stage->value));
        }
        if ($place->held && $this->lastHold($learner, $permit) !== 'revoked') {
            throw Refusal::because('held', "{$learner->name}'s permit is held. Lift the hold first; a signature does not.");
        }
        if (! $this->acknowledged($learner, $permit)) {
            throw Refusal::because('not_acknowledged', "{$learner->name} has not acknowledged the statement yet. Ask them to read and acknowledge it first.");
        }
        if ($learner->born_on !== null && $learner->born_on->age < 18 && $learner->guardian_acknowledged_on === null && Policy::inForce()->guardianRequired) {
            throw Refusal::because('guardian_missing', "{$learner->name} is under 18 and no guardian's acknowledgement is on file; the shop's policy asks for one.");
        }
    }

    private function lastHold(User $learner, Permit $permit): ?string
    {
        return LedgerEntry::query()->where('learner_id', $learner->id)->where('permit_id', $permit->id)
            ->whereIn('type', PlaceHold::TYPES)->latest('seq')->value('type');
    }

    /** The statement now in force, acknowledged since the last sign-off. */
    public function acknowledged(User $learner, Permit $permit): bool
    {
        $entries = LedgerEntry::query()->where('learner_id', $learner->id)->where('permit_id', $permit->id)
            ->whereIn('type', ['statement_acknowledged', 'signed_off'])->orderBy('seq')->get();
        $acknowledged = false;
        foreach ($entries as $entry) {
            $acknowledged = $entry->type === 'statement_acknowledged'
                && ($entry->details()['statement_version'] ?? null) === $permit->statementInForce()->version;
        }

        return $acknowledged;
    }
}
