<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\Length;

/** A part as bench work needs it: its thickness and its marks, and which of them the lesson is about. */
final readonly class PartShape
{
    /** @param  list<PartMark>  $marks */
    public function __construct(public Length $thickness, public array $marks, private ?string $about)
    {
    }

    /** The mark that the lesson is about, or the first; null for a part without holes. */
    public function mark(): ?PartMark
    {
        foreach ($this->marks as $mark) {
            if ($mark->id === $this->about) {
                return $mark;
            }
        }

        return $this->marks[0] ?? null;
    }

    /** As long and as wide as marks that lie as far from one edge as from the other make it; nothing without marks. */
    public function outline(): ?PartMark
    {
        if ($this->marks === []) {
            return null;
        }
        $xs = array_map(static fn (PartMark $mark): float => $mark->x->inMm(), $this->marks);
        $ys = array_map(static fn (PartMark $mark): float => $mark->y->inMm(), $this->marks);

        return new PartMark('outline', Length::mm(min($xs) + max($xs)), Length::mm(min($ys) + max($ys)), Length::zero());
    }
}
