<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/**
 * What speaks against a signature, and how far one may go. The screen shows these reasons and the server refuses for
 * them; there is no other list. A signature only ever narrows the permit's scope and validity.
 */
final readonly class SignOffReadiness
{
    /**
     * @param  list<string>  $prerequisitesMissing  permits that this one builds on and that do not carry now
     * @param  list<string>  $checksStale  checks that a renewal wants passed once more
     * @param  bool  $guardianMissing  under age, nothing on file, and the shop asks for it
     * @param  ShownWork|null  $shown  what was seen on passed sheets; null where the permit asks for none
     * @param  \DateTimeImmutable  $latestEnd  the last instant of the permit's own validity, in the shop's zone
     */
    public function __construct(
        public LadderPlace $place,
        public Record $record,
        public int $statementVersion,
        public array $prerequisitesMissing,
        public bool $ownRecord,
        public bool $authorised,
        public bool $guardianMissing,
        public bool $learnerActive,
        public Scope $permitScope,
        public \DateTimeImmutable $now,
        public \DateTimeImmutable $latestEnd,
        public array $checksStale = [],
        public ?ShownWork $shown = null,
    ) {
    }

    /** The learner has put their name to the statement in force since the last signature. */
    public function acknowledged(): bool
    {
        return $this->record->acknowledged === $this->statementVersion;
    }

    /** @return list<string> all reasons why not to sign now, the most telling first; empty when it may be signed */
    public function reasons(): array
    {
        return array_keys(array_filter([
            'own_record' => $this->ownRecord,
            'not_authorised' => ! $this->authorised,
            'learner_inactive' => ! $this->learnerActive,
            'not_ready' => $this->place->stage->value < Stage::Drilled->value,
            // A revocation ends with a new signature, a hold does not.
            'held' => $this->record->suspended,
            'prerequisite_missing' => $this->prerequisitesMissing !== [],
            'check_stale' => $this->checksStale !== [],
            'not_acknowledged' => ! $this->acknowledged(),
            'guardian_missing' => $this->guardianMissing,
        ]));
    }

    /** @return list<string> where what is to be signed says more than the permit, or nothing that could carry */
    public function excesses(Scope $wanted, \DateTimeImmutable $validUntil): array
    {
        return [
            ...$this->permitScope->exceededBy($wanted),
            ...($this->notShown($wanted) === [] ? [] : ['not_shown']),
            ...($validUntil > $this->latestEnd ? ['valid_too_long'] : []),
            ...($validUntil <= $this->now ? ['valid_past'] : []),
        ];
    }

    /** @return list<array{operation: string, material: string}> what would be signed and nobody has seen */
    public function notShown(Scope $wanted): array
    {
        return $this->shown?->lacks($this->signedScope($wanted)) ?? [];
    }

    /** What is signed: the wanted scope, and the permit's own limits wherever nothing narrower was wanted. */
    public function signedScope(Scope $wanted): Scope
    {
        return $this->permitScope->narrowedTo($wanted);
    }
}
