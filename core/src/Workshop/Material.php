<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Reference\Row;

/** A row of materials.csv: teaching values from general workshop practice. */
final readonly class Material
{
    private function __construct(
        public string $key,
        public string $name,
        public string $group,
        public float $cuttingSpeedMMin,
        public float $cuttingForceNMm2,
        public float $pointAngleDeg,
        public string $chipForm,
        public string $lubricant,
        public string $lubricantToAvoid,
        public bool $grabs,
        public bool $needsZeroRake,
    ) {
    }

    /** @throws \MillStep\Core\Reference\BrokenTable */
    public static function fromRow(Row $row): self
    {
        return new self(
            $row->text('material'),
            $row->text('display_name'),
            $row->text('group'),
            $row->positive('hss_drilling_speed_teach_m_min'),
            $row->positive('specific_cutting_force_kc_N_mm2'),
            $row->positive('point_angle_deg'),
            $row->text('chip_form'),
            $row->text('lubricant_recommended'),
            $row->note('lubricant_to_avoid_or_dry'),
            $row->flag('grabs'),
            $row->text('edge_prep') === 'zero_rake',
        );
    }
}
