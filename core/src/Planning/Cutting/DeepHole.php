<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Cutting;

/** How a hole of several diameters' depth is slowed (operation_speed_factors.csv and its notes). */
final readonly class DeepHole
{
    private function __construct(public float $speedFactor, public float $feedFactor, public string $words)
    {
    }

    public static function of(float $diameters): self
    {
        foreach ([6, 5, 4, 3] as $over) {
            if ($diameters > $over) {
                return new self(
                    OperationFactors::of("drilling_depth_over_{$over}_diameters"),
                    $over > 4 ? 0.8 : 0.9,
                    sprintf('Over %d diameters deep: slower, less feed, and pecked.', $over),
                );
            }
        }

        return new self(1.0, 1.0, '');
    }
}
