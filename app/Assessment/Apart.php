<?php

declare(strict_types=1);

namespace App\Assessment;

use MillStep\Core\Assessment\Measuring\TwoReaders;
use MillStep\Core\Border\Length;

/**
 * How far the learner's reading and the assessor's lie apart.
 *
 * @phpstan-import-type SheetCriterion from Sheet
 */
final readonly class Apart
{
    /** @param  SheetCriterion  $criterion */
    public function __construct(private Scoring $scoring, private SheetAttempt $attempt, private array $criterion)
    {
    }

    /** The learner's less the assessor's; null where one has not measured, or where there is no figure. */
    public function by(): ?Length
    {
        $learner = $this->figure(Seat::Learner);
        $assessor = $this->figure(Seat::Assessor);

        return $learner === null || $assessor === null ? null : $learner->minus($assessor);
    }

    public function isTooFar(): bool
    {
        $by = $this->by();

        return $by !== null && TwoReaders::areTooFarApart($by);
    }

    /** What somebody read last: where two lay too far apart, both have read again by then. */
    public function figure(Seat $seat): ?Length
    {
        $readings = $this->attempt->marks()->readings($this->criterion['id'], $seat);

        return $readings === [] ? null
            : $this->scoring->wanted($this->attempt, $this->criterion)->figure($readings[count($readings) - 1]->figures());
    }
}
