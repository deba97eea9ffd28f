<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Bound;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** A range of sizes, of which each learner gets one of their own: the arithmetic is everybody's, and nobody's to copy. */
final readonly class PersonalSize
{
    /** What a plan may be asked for by a size of one's own. */
    public const KEYS = ['hole.diameter_mm', 'hole.depth_mm', 'part.outside_mm', 'part.thickness_mm'];

    private const MOST = 1000;

    private function __construct(private float $from, private float $step, public int $count)
    {
    }

    /** @throws InvalidInput where the range holds no size, or more than anybody would draw from */
    public static function of(float $from, float $to, float $step): self
    {
        if ($from <= 0 || $to < $from || $step <= 0 || ($to - $from) / $step >= self::MOST) {
            throw InvalidInput::at('sizes', 'learning.no_range', ['from' => $from, 'to' => $to, 'step' => $step]);
        }

        return new self($from, $step, (int) floor(($to - $from) / $step + 1e-9) + 1);
    }

    /** The same for the same learner and key, whenever it is asked for. */
    public function drawn(int $seed, int $learner, string $key): Length
    {
        return Length::mm(round($this->from + $this->step * (crc32("$seed $learner $key") % $this->count), 3));
    }
}
