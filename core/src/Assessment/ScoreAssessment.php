<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Operation;

/** The outcome of a practical sheet: stopped, incomplete, not yet, passed, in that order of precedence. */
final readonly class ScoreAssessment implements Operation
{
    /** @param  non-empty-list<Criterion>  $criteria */
    private function __construct(public array $criteria, public float $passMarkPercent, public Gates $gates)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $promptedCredit = $fields->number('prompted_credit', 0.5);
        if ($promptedCredit < 0 || $promptedCredit > 1) {
            throw $fields->fault('prompted_credit', 'input.not_from_to', ['least' => 0, 'most' => 1, 'found' => $promptedCredit]);
        }
        $criteria = array_map(
            static fn (Fields $criterion): Criterion => Criterion::fromFields($criterion, $promptedCredit),
            $fields->objects('criteria', 1),
        );
        if ($criteria === [] || count(array_unique(array_column($criteria, 'id'))) !== count($criteria)) {
            throw $fields->fault('criteria', 'assessment.ids_not_unique');
        }
        $passMark = $fields->notNegative('pass_mark_percent');

        return $passMark <= 100 ? new self($criteria, $passMark, Gates::fromFields($fields, $criteria))
            : throw $fields->fault('pass_mark_percent', 'input.not_from_to', ['least' => 0, 'most' => 100, 'found' => $passMark]);
    }

    public function compute(): Score
    {
        $ids = fn (callable $is): array => array_column(array_filter($this->criteria, $is), 'id');
        $stoppedBy = $ids(static fn (Criterion $one): bool => $one->stops);
        $open = $ids(static fn (Criterion $one): bool => $one->credit === null);
        $failedBy = $ids(static fn (Criterion $one): bool => $one->failsMeasurement);
        $score = self::percent($this->criteria);
        $seen = array_filter($this->criteria, static fn (Criterion $one): bool => $one->isSeen());
        $observed = $seen === [] ? null : self::percent($seen);
        $gates = $this->gates->holdingBack($this->criteria, $observed);
        // In the order of the border: score, observed, out, then the others.
        $because = [
            ...($score < $this->passMarkPercent ? ['score'] : []),
            ...array_intersect($gates, ['observed']),
            ...($failedBy !== [] ? ['out'] : []),
            ...array_diff($gates, ['observed']),
        ];
        $outcome = match (true) {
            $stoppedBy !== [] => Outcome::Stopped,
            $open !== [] => Outcome::Incomplete,
            $because !== [] => Outcome::NotYet,
            default => Outcome::Passed,
        };

        return new Score(
            $outcome,
            $score,
            $stoppedBy,
            $open,
            $failedBy,
            $this->gates->given ? $observed : null,
            $outcome === Outcome::NotYet ? $because : [],
            $this->gates->given,
        );
    }

    /**
     * What was earned of what could be, to one decimal; what is open counts 0.
     *
     * @param  non-empty-array<Criterion>  $criteria
     */
    private static function percent(array $criteria): float
    {
        $earned = $possible = 0.0;
        foreach ($criteria as $criterion) {
            $possible += $criterion->weight;
            $earned += $criterion->weight * ($criterion->credit ?? 0.0);
        }

        return round(100 * $earned / $possible, 1);
    }

    /**
     * What the score is not, criterion by criterion, in the order of the sheet.
     *
     * @return list<Loss>
     */
    public function losses(): array
    {
        $possible = array_sum(array_map(static fn (Criterion $criterion): float => $criterion->weight, $this->criteria));
        $losses = [];
        foreach ($this->criteria as $criterion) {
            $points = round(100 * $criterion->weight * (1 - ($criterion->credit ?? 0.0)) / $possible, 1);
            $why = match (true) {
                $criterion->stops => 'stopped',
                $criterion->failsMeasurement => 'out',
                $criterion->credit === null => 'open',
                $criterion->credit < 1 => 'less',
                default => null,
            };
            if ($why !== null) {
                $losses[] = new Loss($criterion->id, $why, $points);
            }
        }

        return $losses;
    }
}
