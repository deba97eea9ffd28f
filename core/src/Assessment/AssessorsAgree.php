<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Result;

final readonly class AssessorsAgree extends Result
{
    private const OFTEN = 3;

    private const MOST_PERCENT = 80.0;

    /**
     * @param  float  $percent  of verdicts that are the same, 0 to 100
     * @param  float|null  $kappa  what of it chance would not give; null where chance gives all of it
     * @param  float|null  $low  where kappa may lie, with 95 %
     */
    public function __construct(
        public int $count,
        public float $percent,
        public ?float $kappa,
        public ?float $low,
        public ?float $high,
        public AgreementMeaning $meaning,
    ) {
    }

    /** Worth talking about: less than four verdicts of five are the same, and it was seen often enough to say so. */
    public function isApart(): bool
    {
        return $this->count >= self::OFTEN && $this->percent < self::MOST_PERCENT;
    }
}
