<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Chip;

use MillStep\Core\Policy\ChipSchool;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Workshop\Material;

/** What the chip, its colour and the noise say in a material: first what is to be stopped for, last what is right (workshop practice). */
final class ChipSigns
{
    /** @return non-empty-list<ChipSign> */
    public static function of(Material $material, ShopPolicy $policy): array
    {
        $metal = ! in_array($material->group, ['plastic', 'wood'], true);
        $ribbons = in_array($material->chipForm, ['long_curly', 'stringy'], true);
        $hardens = $material->group === 'stainless';
        // No word of oil where the row wants none.
        $dry = $material->keepsDry();

        return array_values(array_filter([
            ChipSign::of('climbs'),
            ChipSign::of('screech', match (true) {
                $hardens => 'remedy_hardens',
                $dry => 'remedy_dry',
                default => null,
            }),
            $metal && $material->group !== 'aluminium' && $material->group !== 'copper_alloy' ? ChipSign::of('coloured') : null,
            $material->group === 'plastic' ? ChipSign::of('melts') : null,
            $material->group === 'wood' ? ChipSign::of('scorches') : null,
            $material->group === 'aluminium' ? ChipSign::of('welds') : null,
            // Grey iron, brass and their kin break to powder by themselves.
            in_array($material->chipForm, ['powder', 'crumbling', 'short'], true)
                ? null : ChipSign::of('powder', $hardens ? 'remedy_hardens' : null),
            ChipSign::of('chatter'),
            ChipSign::of('one_sided'),
            ChipSign::of('packs', $dry ? 'remedy_dry' : null),
            $ribbons ? ChipSign::of('ribbon', match (true) {
                $hardens => 'remedy_hardens',
                $policy->chipSchool === ChipSchool::EaseOff => 'remedy_ease_off',
                default => 'remedy_more_feed',
            }) : null,
            ChipSign::of('right', "right_$material->chipForm"),
        ]));
    }
}
