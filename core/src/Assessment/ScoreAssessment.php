<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Operation;

/** The outcome of a practical sheet: stopped, incomplete, not yet, passed, in that order of precedence. */
final readonly class ScoreAssessment implements Operation
{
    /** @param  non-empty-list<Criterion>  $criteria */
    public function __construct(public array $criteria, public float $passMarkPercent)
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

        return $passMark <= 100 ? new self($criteria, $passMark)
            : throw $fields->fault('pass_mark_percent', 'input.not_from_to', ['least' => 0, 'most' => 100, 'found' => $passMark]);
    }

    public function compute(): Score
    {
        $stoppedBy = $open = $failedBy = [];
        $earned = $possible = 0.0;
        foreach ($this->criteria as $criterion) {
            $possible += $criterion->weight;
            $earned += $criterion->weight * ($criterion->credit ?? 0.0);
            if ($criterion->failsMeasurement) {
                $failedBy[] = $criterion->id;
            }
            if ($criterion->stops) {
                $stoppedBy[] = $criterion->id;
            }
            if ($criterion->credit === null) {
                $open[] = $criterion->id;
            }
        }
        $score = round(100 * $earned / $possible, 1);
        $outcome = match (true) {
            $stoppedBy !== [] => Outcome::Stopped,
            $open !== [] => Outcome::Incomplete,
            $score < $this->passMarkPercent || $failedBy !== [] => Outcome::NotYet,
            default => Outcome::Passed,
        };

        return new Score($outcome, $score, $stoppedBy, $open, $failedBy);
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
