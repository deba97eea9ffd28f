<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\Length;

/** A row of threads.csv. */
final readonly class Thread
{
    private function __construct(
        public string $designation,
        public Length $major,
        public Length $pitch,
        public ?Length $clearanceClose,
        public ?Length $clearanceNormal,
        public ?Length $clearanceLoose,
        public ?string $chartDrill,
        public ?Length $chartDiameter,
    ) {
    }

    /** @throws \MillStep\Core\Reference\BrokenTable */
    public static function fromRow(Row $row): self
    {
        $optional = static fn (string $column): ?Length => $row->note($column) === '' ? null : $row->length($column);

        return new self($row->text('designation'), $row->length('major_mm'), $row->length('pitch_mm'),
            $optional('clearance_close_mm'), $optional('clearance_normal_mm'), $optional('clearance_loose_mm'),
            $row->note('usual_tap_drill') === '' ? null : $row->note('usual_tap_drill'), $optional('usual_tap_drill_mm'));
    }

    /** @param  'close'|'normal'|'loose'  $fit */
    public function clearance(string $fit): ?Length
    {
        return ['close' => $this->clearanceClose, 'normal' => $this->clearanceNormal, 'loose' => $this->clearanceLoose][$fit];
    }
}
