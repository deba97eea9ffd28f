<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

use MillStep\Core\Border\Length;
use MillStep\Core\Measure\JudgeMeasurement;
use MillStep\Core\Measure\Verdict;

/**
 * Readings of one size, repeated while they are doubtful. Their mean is judged, so that nobody reads until it fits. After three
 * the mean stands: inside the limits or not, which are no longer narrowed, with the spread said beside it.
 */
final readonly class Repeated
{
    public const MOST = 3;

    /** @param  non-empty-list<Length>  $values */
    public function __construct(private array $values, private Length $lower, private Length $upper, private Length $uncertainty)
    {
    }

    public function mean(): Length
    {
        $sum = array_reduce($this->values, static fn (Length $sum, Length $value): Length => $sum->plus($value), Length::zero());

        return $sum->times(1 / count($this->values));
    }

    public function spread(): Length
    {
        $values = array_map(static fn (Length $value): float => $value->inMm(), $this->values);

        return Length::mm(max($values) - min($values));
    }

    /** How many more may be taken. */
    public function left(): int
    {
        return max(0, self::MOST - count($this->values));
    }

    public function isByMean(): bool
    {
        return $this->left() === 0 && $this->judged($this->uncertainty) === Verdict::Doubtful;
    }

    public function verdict(): Verdict
    {
        return $this->isByMean() ? $this->judged(Length::zero()) : $this->judged($this->uncertainty);
    }

    public function side(): ?Side
    {
        return match (true) {
            $this->mean()->isLessThan($this->lower) => Side::Under,
            $this->mean()->isGreaterThan($this->upper) => Side::Over,
            default => null,
        };
    }

    private function judged(Length $uncertainty): Verdict
    {
        return (new JudgeMeasurement($this->mean(), $this->lower, $this->upper, $uncertainty))->compute()->verdict;
    }
}
