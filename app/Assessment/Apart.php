<?php

declare(strict_types=1);

namespace App\Assessment;

use MillStep\Core\Assessment\Measuring\TwoReaders;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;

/**
 * How far the learner's reading and the assessor's lie apart, and whose turn it is.
 *
 * @phpstan-import-type SheetCriterion from Sheet
 */
final readonly class Apart
{
    /** @param  SheetCriterion  $criterion */
    public function __construct(private Scoring $scoring, private SheetAttempt $attempt, private array $criterion)
    {
    }

    /**
     * The learner's last reading less the assessor's; null where one has not measured, or where there is no figure.
     *
     * @throws \MillStep\Core\Border\CoreException when a sheet is not readable
     */
    public function by(): ?Length
    {
        [$learner, $assessor] = [$this->last(Seat::Learner), $this->last(Seat::Assessor)];

        return $learner === null || $assessor === null ? null
            : $this->scoring->wanted($this->attempt, $this->criterion)->apart($learner, $assessor);
    }

    /** @throws \MillStep\Core\Border\CoreException when a sheet is not readable */
    public function readers(): TwoReaders
    {
        $marks = $this->attempt->marks();

        return new TwoReaders(
            count($marks->readings($this->criterion['id'], Seat::Learner)),
            $marks->learnerDeclined($this->criterion['id']),
            count($marks->readings($this->criterion['id'])),
            $this->scoring->found($this->attempt, $this->criterion),
            $this->by(),
        );
    }

    /** What somebody read last: where two lay too far apart, both have read again by then. */
    public function last(Seat $seat): ?Fields
    {
        $readings = $this->attempt->marks()->readings($this->criterion['id'], $seat);

        return $readings === [] ? null : $readings[count($readings) - 1]->figures();
    }
}
