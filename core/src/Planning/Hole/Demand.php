<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Cutting\FeedTable;
use MillStep\Core\Planning\Thread\TappingTorque;
use MillStep\Core\Workshop\Holding\DrillingTorque;
use MillStep\Core\Workshop\Holding\Ring;
use MillStep\Core\Workshop\HoleSaw;
use MillStep\Core\Workshop\Material;

/** What a tool twists the work with, at its worst: a drill that grabs as it breaks through, a tap that is dull or packed. */
final readonly class Demand
{
    /**
     * @param  float  $torqueNm  in a clean cut
     * @param  float  $worst  times as much at its worst
     * @param  Length  $wide  what it cuts
     * @param  array<string, float>  $terms  of the formula
     */
    private function __construct(
        public float $torqueNm,
        public float $worst,
        public Length $wide,
        public string $formula,
        public array $terms,
        public bool $taps,
    ) {
    }

    public static function ofDrill(Ring $cut, Material $material, float $grab): self
    {
        $feed = FeedTable::feed($material->group, $cut->wide);

        return new self(
            (new DrillingTorque($cut->asWide(), $feed, $material->cuttingForceNMm2))->compute()->torqueNm,
            $grab,
            $cut->wide,
            $cut->formula(),
            [
                'kc' => $material->cuttingForceNMm2, 'f_mm_rev' => $feed, 'D_mm' => $cut->wide->inMm(),
                ...($cut->there->isPositive() ? ['d_mm' => $cut->there->inMm()] : []),
                'grab' => $grab,
            ],
            false,
        );
    }

    /** Only its ring, which is fed far less than a drill of its width. */
    public static function ofSaw(Length $diameter, Material $material, float $grab): self
    {
        $ring = HoleSaw::ring($diameter);

        return new self(
            (new DrillingTorque($ring->asWide(), HoleSaw::FEED_MM, $material->cuttingForceNMm2))->compute()->torqueNm,
            $grab,
            $diameter,
            $ring->formula(),
            [
                'kc' => $material->cuttingForceNMm2, 'f_mm_rev' => HoleSaw::FEED_MM, 'D_mm' => $diameter->inMm(),
                ...($ring->there->isPositive() ? ['d_mm' => $ring->there->inMm()] : []),
                'grab' => $grab,
            ],
            false,
        );
    }

    /** @param  float  $times  as much as a tap that cuts */
    public static function ofTap(Length $major, Length $pitch, Material $material, float $times): self
    {
        return new self(
            $times * (new TappingTorque($major, $pitch, $material->cuttingForceNMm2))->compute()->torqueNm,
            TappingTorque::WORST,
            $major,
            $times === 1.0 ? 'M = kc · p² · D / 8000 · worst' : 'M = kc · p² · D / 8000 · form · worst',
            [
                'kc' => $material->cuttingForceNMm2, 'p_mm' => $pitch->inMm(), 'D_mm' => $major->inMm(),
                ...($times === 1.0 ? [] : ['form' => $times]), 'worst' => TappingTorque::WORST,
            ],
            true,
        );
    }

    public function worstNm(): float
    {
        return $this->torqueNm * $this->worst;
    }

    /** @param  non-empty-list<self>  $demands */
    public static function hardest(array $demands): self
    {
        usort($demands, static fn (self $a, self $b): int => $b->worstNm() <=> $a->worstNm());

        return $demands[0];
    }
}
