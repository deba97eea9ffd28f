<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

use MillStep\Core\Border\Message;

/** How a hole of several diameters' depth is slowed (operation_speed_factors.csv and its notes). */
final readonly class DeepHole
{
    private function __construct(public float $speedFactor, public float $feedFactor, public ?Message $message)
    {
    }

    public static function of(float $diameters): self
    {
        foreach ([6, 5, 4, 3] as $over) {
            if ($diameters > $over) {
                return new self(
                    OperationFactors::of("drilling_depth_over_{$over}_diameters"),
                    $over > 4 ? 0.8 : 0.9,
                    Message::of('planning.why.deep_hole', ['over' => $over]),
                );
            }
        }

        return new self(1.0, 1.0, null);
    }
}
