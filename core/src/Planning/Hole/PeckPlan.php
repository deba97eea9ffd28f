<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** How deep to go before each withdrawal, and what the scale shows then. */
final readonly class PeckPlan implements Operation
{
    private const MOST_PECKS = 10_000;

    public function __construct(
        public Length $diameter,
        public Length $depth,
        public float $firstRatio,
        public float $nextRatio,
        public Length $startReading,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $plan = new self(
            $fields->length('diameter_mm'),
            $fields->length('depth_mm'),
            $fields->positive('first_ratio', 3),
            $fields->positive('next_ratio', 1),
            $fields->lengthOrZero('start_reading_mm', 0),
        );

        return $plan->depth->inMm() / ($plan->nextRatio * $plan->diameter->inMm()) <= self::MOST_PECKS ? $plan
            : throw $fields->fault('next_ratio', 'planning.too_many_pecks', ['most' => self::MOST_PECKS]);
    }

    public function compute(): Pecks
    {
        $first = $this->diameter->times($this->firstRatio);
        if ($this->depth->isAtMost($first)) {
            return new Pecks(false, [$this->peck($this->depth)]);
        }
        $pecks = [];
        for ($i = 0; ; $i++) {
            $to = $first->plus($this->diameter->times($i * $this->nextRatio));
            if ($to->isAtLeast($this->depth)) {
                return new Pecks(true, [...$pecks, $this->peck($this->depth)]);
            }
            $pecks[] = $this->peck($to);
        }
    }

    private function peck(Length $toDepth): Peck
    {
        return new Peck($toDepth, $this->startReading->plus($toDepth));
    }
}
