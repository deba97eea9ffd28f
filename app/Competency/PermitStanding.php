<?php

declare(strict_types=1);

namespace App\Competency;

use MillStep\Core\Competency\LadderPlace;
use MillStep\Core\Competency\Record;
use MillStep\Core\Competency\Scope;

/** One learner with one permit: what the ledger says, and the place on the ladder that follows from it. */
final readonly class PermitStanding
{
    /**
     * @param  list<string>  $prerequisitesMissing  codes of permits that this one builds on and that do not carry
     * @param  list<string>  $checksStale  codes of checks that a renewal wants passed once more
     * @param  bool  $sound  every line that it was read from is ours
     */
    public function __construct(
        public Permit $permit,
        public Record $record,
        public LadderPlace $place,
        public array $prerequisitesMissing,
        public array $checksStale,
        public bool $sound,
    ) {
    }

    /** Whether every safety check that the permit asks for was passed, the latest attempt of each. */
    public function checksPassed(): bool
    {
        return array_diff($this->permit->requirement['checks'], array_keys($this->record->checks, true, true)) === [];
    }

    /** What is covered today: the signature within what the permit is for. Nothing where nobody has signed. */
    public function covered(): ?Scope
    {
        return $this->record->signature?->scope->within($this->permit->coreScope());
    }

    /**
     * @return array{by: string, at: string, valid_until: string, scope: object, covers: object, narrowed: object}|null the signature
     *     in force, for screens and paper: what was signed, what of it the permit covers today, and what it no longer does
     */
    public function signature(): ?array
    {
        $signature = $this->record->signature;
        $covered = $this->covered();

        return $signature === null || $covered === null ? null : [
            'by' => LedgerEntry::query()->with('recorder')->where('id', $signature->id)->firstOrFail()->recorder->name,
            'at' => $signature->at->format('Y-m-d\TH:i:s\Z'),
            'valid_until' => $signature->validUntil->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
            'scope' => (object) $signature->scope->toArray(),
            'covers' => (object) $covered->toArray(),
            'narrowed' => (object) $signature->scope->lostIn($covered),
        ];
    }
}
