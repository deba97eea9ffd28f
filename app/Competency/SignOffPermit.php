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
final class SignOffPermit
{
    public function __construct(
        private readonly RecordEntry $record,
        private readonly Readiness $readiness,
        private readonly Pin $pin,
        private readonly Evidence $evidence,
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
            $rests = $this->evidence->of($learner, $permit);
            $open = array_column(array_filter($rests['sheets'], static fn (array $sheet): bool => $sheet['second_open']), 'code');
            $entry = ($this->record)($learner, $permit, 'signed_off', [
                'statement_version' => $statement->version,
                'statement' => $statement->body,
                'language' => app()->getLocale(),
                'scope' => (object) $scope,
                'valid_until' => $until,
                // Said with it, not against it: what nobody else has seen.
                ...$open === [] ? [] : ['second_view_open' => $open],
                ...$rests['one_alone'] === null ? [] : ['one_alone' => true],
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
        $known = [
            'own_record', 'not_authorised', 'learner_inactive', 'not_ready', 'held', 'prerequisite_missing', 'check_stale',
            'not_acknowledged', 'guardian_missing', 'valid_too_long', 'valid_past', 'not_shown',
        ];
        $terms = ['permit' => $permit->name, 'name' => $learner->name, 'days' => $permit->validity_days,
            'renewal_days' => $permit->requirement['renewal_check_days'] ?? 0];
        $says = in_array($reason, $known, true) ? "sign_off_$reason" : 'sign_off_says_more';
        throw in_array($reason, ['own_record', 'not_authorised'], true)
            ? Refusal::forbidden($reason, $terms, $says)
            : Refusal::because($reason, $terms, $says);
    }
}
