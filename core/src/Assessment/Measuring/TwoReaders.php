<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

use MillStep\Core\Border\Length;

/**
 * A learner and an assessor who read the same size, the learner first. Two who lie over 0.05 mm apart both read again, three times at
 * most, and nobody takes the mean of them (lesson E3).
 */
final readonly class TwoReaders
{
    private const AT_MOST_APART_MM = 0.05;

    /**
     * @param  int  $theirs  readings of the learner
     * @param  bool  $declined  the learner does not measure it
     * @param  int  $ours  readings of the assessor
     * @param  Found|null  $found  what the assessor's come to
     * @param  Length|null  $apart  their last readings, the learner's less the assessor's
     */
    public function __construct(
        private int $theirs,
        private bool $declined,
        private int $ours,
        private ?Found $found,
        private ?Length $apart,
    ) {
    }

    public function areTooFarApart(): bool
    {
        return $this->apart !== null && $this->apart->absolute()->isGreaterThan(Length::mm(self::AT_MOST_APART_MM));
    }

    /** @return 'learner'|'assessor'|null whose reading is next; null where it is decided */
    public function next(): ?string
    {
        return match (true) {
            $this->theirs === 0 && ! $this->declined => 'learner',
            $this->found === null, $this->found->again > 0 => 'assessor',
            // What is doubtful is read three times at most; two who lie too far apart go on until one has found their fault.
            $this->ours >= Repeated::MOST && ! $this->areTooFarApart() => null,
            $this->theirs > $this->ours => 'assessor',
            $this->areTooFarApart() => 'learner',
            default => null,
        };
    }
}
