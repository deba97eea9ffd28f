<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;
use MillStep\Core\Planning\Cutting\DrillPoint;

/** How deep to drill for a blind thread: thread, the tap's lead, room for chips, and the point. */
final readonly class BlindTapDepth implements Operation
{
    public function __construct(
        public Length $threadDepth,
        public Length $pitch,
        public float $leadThreads,
        public float $clearanceThreads,
        public Length $drillDiameter,
        public float $pointAngleDeg,
        public ?Length $thickness = null,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->length('thread_depth_mm'),
            $fields->length('pitch_mm'),
            $fields->notNegative('lead_threads'),
            $fields->notNegative('clearance_threads', 1),
            $fields->length('drill_diameter_mm'),
            $fields->between('point_angle_deg', 0, 180),
            $fields->has('thickness_mm') ? $fields->length('thickness_mm') : null,
        );
    }

    public function compute(): BlindDepth
    {
        $full = $this->threadDepth->plus($this->pitch->times($this->leadThreads + $this->clearanceThreads));
        $total = $full->plus((new DrillPoint($this->drillDiameter, $this->pointAngleDeg))->compute()->pointLength);
        $remaining = $this->thickness?->minus($total);

        return new BlindDepth($full, $total, $remaining, $remaining?->isAtMost(Length::zero()));
    }
}
