<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Workshop\CribSpec;

/** What a finished hole is judged with, and what stands in where the crib has no such gauge. */
final readonly class BoreGauge
{
    private function __construct(public string $tool, public ?string $warning)
    {
    }

    public static function of(HoleRequest $hole, CribSpec $crib): self
    {
        [$tool, $gauge, $instead] = match ($hole->purpose) {
            'tapped' => ['thread gauge or screw', 'thread', 'a screw that is known to be good stands in'],
            'reamed' => ['plug gauge, go and no-go', 'plug', 'a pin of known size or a bore micrometer stands in'],
            default => ['caliper', null, ''],
        };
        $size = $hole->purpose === 'tapped' ? $hole->theThread()->designation : sprintf('%.6g', $hole->largest()->inMm());

        return new self(
            $tool,
            $gauge === null || $crib->hasGauge($gauge, $size) ? null : sprintf(
                'The crib has no %s gauge for %s; %s.',
                $gauge,
                $size,
                $instead,
            ),
        );
    }
}
