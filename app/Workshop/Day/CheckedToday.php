<?php

declare(strict_types=1);

namespace App\Workshop\Day;

use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use MillStep\Core\Policy\Hours;

/** How a machine was found on the shop's own day, part by part; of several lines of a day the latest counts. */
final readonly class CheckedToday
{
    /** @param  array<value-of<DayPart>, DayCheck|null>  $latest */
    private function __construct(private array $latest)
    {
    }

    public static function of(Machine $machine, Hours $hours): self
    {
        $today = $hours->dateAt(CarbonImmutable::now());
        $latest = array_fill_keys(array_column(DayPart::cases(), 'value'), null);
        foreach ($machine->loadMissing('dayChecks.by')->dayChecks as $check) {
            // Newest first.
            if ($hours->dateAt($check->at) === $today) {
                $latest[$check->part->value] ??= $check;
            }
        }

        return new self($latest);
    }

    /** Everything was looked at, and found in order. */
    public function isGood(): bool
    {
        return array_filter($this->latest, static fn (?DayCheck $check): bool => $check?->good !== true) === [];
    }

    /** @return array<value-of<DayPart>, array{good: bool, at: string, by: string}|null> */
    public function shown(): array
    {
        return array_map(static fn (?DayCheck $check): ?array => $check === null ? null : [
            'good' => $check->good, 'at' => $check->at->toIso8601ZuluString(), 'by' => $check->by->name,
        ], $this->latest);
    }

    /** @return array<value-of<DayPart>, string|null> when each was found in order: as the ledger has it, without a name */
    public function said(): array
    {
        return array_map(
            static fn (?DayCheck $check): ?string => $check?->good === true ? $check->at->toIso8601ZuluString() : null,
            $this->latest,
        );
    }
}
