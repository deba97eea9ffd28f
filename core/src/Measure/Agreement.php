<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class Agreement extends Result
{
    /** Pairs, before anything is said of their limits. */
    private const FEWEST = 3;

    public function __construct(
        public int $count,
        public Length $bias,
        public Length $spread,
        public Length $within,
    ) {
    }

    /** Where 95 of 100 differences lie, if they scatter as most do: bias ± 1.96 spreads. Nothing under three pairs. */
    public function limits(): ?Limits
    {
        $reach = $this->spread->times(1.959963984540054);

        return $this->count < self::FEWEST ? null : new Limits($this->bias->minus($reach), $this->bias->plus($reach));
    }

    /** An error of one sign is of the zero or of the hand's habit, one of both signs is unsteadiness; null under three pairs. */
    public function leaning(): ?ReaderLeaning
    {
        $limits = $this->limits();

        return match (true) {
            $limits === null => null,
            $limits->lower->isPositive() => ReaderLeaning::Over,
            $limits->upper->isLessThan(Length::zero()) => ReaderLeaning::Under,
            default => ReaderLeaning::Both,
        };
    }
}
