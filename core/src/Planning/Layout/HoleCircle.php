<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** Equal holes on a circle, counter-clockwise from the x axis. */
final readonly class HoleCircle implements Operation
{
    public function __construct(
        public int $count,
        public Length $circle,
        public float $startDeg,
        public Length $centreX,
        public Length $centreY,
        public Length $hole,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->integer('count', 1, 10_000),
            $fields->length('circle_mm'),
            $fields->number('start_deg', 0),
            $fields->coordinate('centre_x_mm', 0),
            $fields->coordinate('centre_y_mm', 0),
            $fields->length('hole_mm'),
        );
    }

    /** @throws Impossible when neighbours run into each other */
    public function compute(): CircleLayout
    {
        $chord = $this->count === 1 ? Length::zero() : $this->circle->times(sin(M_PI / $this->count));
        $ligament = $this->count === 1 ? null : $chord->minus($this->hole);
        if ($ligament?->isAtMost(Length::zero()) === true) {
            throw Impossible::because(
                'count',
                'planning.holes_meet',
                ['apart_mm' => $chord->inMm(), 'wide_mm' => $this->hole->inMm()],
            );
        }
        $radius = $this->circle->inMm() / 2;
        $points = [];
        for ($i = 0; $i < $this->count; $i++) {
            $angle = deg2rad($this->startDeg) + 2 * M_PI * $i / $this->count;
            $points[] = new Point(
                $this->centreX->plus(Length::mm($radius * cos($angle))),
                $this->centreY->plus(Length::mm($radius * sin($angle))),
            );
        }

        return new CircleLayout($points, $chord, $ligament);
    }
}
