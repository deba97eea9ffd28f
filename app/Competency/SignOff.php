<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Events\SignedOff;
use App\People\Pin;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Scope;

/** The instructor's signature: what it covers, for how long, on which words. There is no override. */
final class SignOff
{
    public function __construct(
        private readonly RecordEntry $record,
        private readonly Readiness $readiness,
        private readonly Pin $pin,
    ) {
    }

    /**
     * @param  Scope  $wanted  as narrow as the permit's or narrower
     *
     * @throws Refusal with the first of SignOffReadiness' reasons or excesses, `id_used`, or a PIN's
     */
    public function __invoke(
        User $learner,
        Permit $permit,
        User $instructor,
        #[\SensitiveParameter] string $pin,
        Scope $wanted,
        \DateTimeImmutable $validUntil,
        ?string $id = null,
    ): LedgerEntry {
        $this->refuse(
            array_intersect($this->readiness->of($learner, $permit, $instructor)->reasons(), ['own_record', 'not_authorised']),
            $learner,
            $permit,
        );
        // Outside the transaction: a wrong PIN is counted even though nothing is signed.
        $this->pin->confirm($instructor, $pin);

        return DB::transaction(function () use ($learner, $permit, $instructor, $wanted, $validUntil, $id): LedgerEntry {
            // One signature at a time for a learner: whoever comes second finds the acknowledgement used up.
            User::query()->whereKey($learner->id)->lockForUpdate()->firstOrFail();
            $known = $id === null ? null : LedgerEntry::query()->where('id', $id)->first();
            $until = CarbonImmutable::instance($validUntil)->utc()->toIso8601ZuluString();
            $readiness = $this->readiness->of($learner, $permit, $instructor);
            $scope = $readiness->signedScope($wanted)->toArray();
            if ($known !== null) {
                $said = $known->details();

                return $known->says($learner, $permit, 'signed_off', $instructor) && $said['valid_until'] === $until
                    && Scope::fromFields(Fields::of((array) $said['scope']))->toArray() === $scope
                    ? $known : throw Refusal::idUsed();
            }
            $this->refuse($readiness->reasons(), $learner, $permit);
            $this->refuse($readiness->excesses($wanted, $validUntil), $learner, $permit);
            $statement = $permit->statementInForce();
            $entry = ($this->record)($learner, $permit, 'signed_off', [
                'statement_version' => $statement->version,
                'statement' => $statement->body,
                'scope' => (object) $scope,
                'valid_until' => $until,
            ], $instructor, id: $id);
            SignedOff::dispatch($learner->id, $permit->id);

            return $entry;
        });
    }

    /** @param  array<int, string>  $reasons */
    private function refuse(array $reasons, User $learner, Permit $permit): void
    {
        $reason = array_values($reasons)[0] ?? null;
        if ($reason === null) {
            return;
        }
        $message = match ($reason) {
            'own_record' => 'Nobody signs for themselves. Ask another instructor.',
            'not_authorised' => "You are not authorised to sign for \"{$permit->name}\". The shop lead can authorise you.",
            'learner_inactive' => "{$learner->name} is no longer active here.",
            'not_ready' => "{$learner->name} is below stage 4 of 5. Lessons, safety check, practice and practical assessment come first.",
            'held' => "{$learner->name}'s permit is held. Lift the hold first; a signature does not.",
            'prerequisite_missing' => "A permit that \"{$permit->name}\" builds on does not carry for {$learner->name}. Settle "
                .'that one first.',
            'not_acknowledged' => "{$learner->name} has not acknowledged the statement yet. Ask them to read and acknowledge it first.",
            'guardian_missing' => "{$learner->name} is under 18 and no guardian's acknowledgement is on file, as the policy asks.",
            'valid_too_long' => "The permit is valid for {$permit->validity_days} days at most. Choose an earlier day.",
            'valid_past' => 'That day is over already. Choose a later one.',
            default => "That says more than the permit \"{$permit->name}\" covers. A signature can only narrow it.",
        };
        throw in_array(
            $reason,
            ['own_record', 'not_authorised'],
            true,
        ) ? Refusal::forbidden($reason, $message) : Refusal::because($reason, $message);
    }
}
