<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Length;
use MillStep\Core\Learning\Bound\BoundCase;
use MillStep\Core\Learning\BoundHole;
use MillStep\Core\Learning\PartShape;

/** What a lesson's drawings are made of: its hole on its machine, and what the learner read. */
final readonly class LessonScene
{
    /**
     * @param  BoundHole|null  $hole  null for a lesson that is bound to none
     * @param  PartShape|null  $part  null for a lesson about none
     * @param  BoundCase|null  $case  the whole of what the lesson is bound to
     * @param  Length|null  $touch  the scale's reading at the touch, once it was read
     */
    public function __construct(
        public ?BoundHole $hole,
        public ?Length $touch = null,
        public ?PartShape $part = null,
        public ?BoundCase $case = null,
    ) {
    }

    /** @throws \LogicException for a lesson without a hole: publishing refuses such a drawing there */
    public function hole(): BoundHole
    {
        return $this->hole ?? throw new \LogicException('No hole is bound to this lesson.');
    }

    /** @throws \LogicException for a lesson without a part: publishing refuses such a drawing there */
    public function part(): PartShape
    {
        return $this->part ?? throw new \LogicException('No hole is marked in this lesson.');
    }

    /** @throws \LogicException for a lesson that is bound to nothing: publishing refuses such a drawing there */
    public function case(): BoundCase
    {
        return $this->case ?? throw new \LogicException('No hole is bound to this lesson.');
    }
}
