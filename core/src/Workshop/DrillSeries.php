<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Length;
use MillStep\Core\Measure\DrillTable;
use MillStep\Core\Measure\SizeSystem;

/** The sets in which drills are bought (drill_sizes.csv). */
enum DrillSeries: string
{
    case MetricHalf = 'metric_half';
    case MetricTenth = 'metric_tenth';
    case SixtyFourths = 'sixty_fourths';
    case Number = 'number';
    case Letter = 'letter';

    /** @return list<array{designation: string, diameter_mm: float}> smallest first */
    public function drills(): array
    {
        $drills = [];
        foreach (DrillTable::standard()->series($this->system()) as $designation => $diameter) {
            if ($this->holds($diameter)) {
                $drills[] = ['designation' => $this->name((string) $designation), 'diameter_mm' => $diameter->inMm()];
            }
        }
        usort($drills, static fn (array $a, array $b): int => $a['diameter_mm'] <=> $b['diameter_mm']);

        return $drills;
    }

    /** A metric drill is called by its shortest decimal: 9, not 9.0. */
    private function name(string $designation): string
    {
        return $this->system() === SizeSystem::Metric ? (string) preg_replace('/\.0+$/', '', $designation) : $designation;
    }

    private function system(): SizeSystem
    {
        return match ($this) {
            self::MetricHalf, self::MetricTenth => SizeSystem::Metric,
            self::SixtyFourths => SizeSystem::FractionInch,
            self::Number => SizeSystem::Number,
            self::Letter => SizeSystem::Letter,
        };
    }

    /** A metric set goes from 1 to 13, by halves or by tenths; a set of 64ths up to half an inch. */
    private function holds(Length $diameter): bool
    {
        $step = match ($this) {
            self::MetricHalf => Length::mm(0.5),
            self::MetricTenth => Length::mm(0.1),
            default => null,
        };
        if ($step !== null) {
            return $diameter->isAtLeast(Length::mm(1))
                && $diameter->isAtMost(Length::mm(13))
                && $step->times((int) round($diameter->ratioTo($step)))->equals($diameter);
        }

        return $this !== self::SixtyFourths
            || ($diameter->isAtMost(Length::inchFraction(1, 2)) && $diameter->isAtLeast(Length::inchFraction(1, 16)));
    }
}
