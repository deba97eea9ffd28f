<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop\Holding;

use MillStep\Core\Border\Length;

/** What a tool cuts around a hole that is there already. */
final readonly class Ring
{
    /** @param  Length  $there  the hole that is opened out; nothing where the tool cuts from the solid */
    public function __construct(public Length $wide, public Length $there)
    {
    }

    /** So wide a drill would have as much to cut from the solid. */
    public function asWide(): Length
    {
        return Length::mm(sqrt(max(0.0, $this->wide->inMm() ** 2 - $this->there->inMm() ** 2)));
    }

    /** What the drill twists with when it grabs; see DrillingTorque. */
    public function formula(): string
    {
        return $this->there->isPositive() ? 'M = kc · f · (D² − d²) / 8000 · grab' : 'M = kc · f · D² / 8000 · grab';
    }

    /** @param  non-empty-list<self>  $rings */
    public static function hardest(array $rings): self
    {
        usort($rings, static fn (self $a, self $b): int => $b->asWide()->compareExactly($a->asWide()));

        return $rings[0];
    }
}
