<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Message;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Uncertainty;

/** What is drilled: a row of materials.csv (teaching values from general workshop practice), or the shop's own. */
final readonly class Material
{
    /** The groups that feeds.csv and tap_drill_percent.csv speak of. */
    public const GROUPS = ['steel', 'stainless', 'cast_iron', 'aluminium', 'copper_alloy', 'plastic', 'wood'];

    public const CHIPS = ['long_curly', 'short', 'stringy', 'powder', 'crumbling'];

    private function __construct(
        public string $key,
        public string $name,
        public string $group,
        public float $cuttingSpeedMMin,
        public float $cuttingForceNMm2,
        public float $pointAngleDeg,
        public string $chipForm,
        public Lubricant $lubricant,
        public string $lubricantToAvoid,
        public bool $grabs,
        public bool $needsZeroRake,
        public bool $ownRow,
    ) {
    }

    /** @throws BrokenTable */
    public static function fromRow(Row $row): self
    {
        foreach (['hss_drilling_speed_min_m_min', 'hss_drilling_speed_max_m_min'] as $column) {
            $row->positive($column);
        }
        $speed = $row->positive('hss_drilling_speed_teach_m_min');
        if ($speed < $row->number('hss_drilling_speed_min_m_min') || $speed > $row->number('hss_drilling_speed_max_m_min')) {
            throw $row->fault('hss_drilling_speed_teach_m_min', 'lies outside its own minimum and maximum');
        }

        return new self(
            $row->text('material'),
            $row->text('display_name'),
            $row->choice('group', self::GROUPS),
            $speed,
            $row->positive('specific_cutting_force_kc_N_mm2'),
            $row->between('point_angle_deg', 0, 180),
            $row->choice('chip_form', self::CHIPS),
            Lubricant::read($row->text('lubricant_recommended')),
            $row->note('lubricant_to_avoid_or_dry'),
            $row->flag('grabs'),
            $row->choice('edge_prep', ['normal', 'zero_rake']) === 'zero_rake',
            false,
        );
    }

    /**
     * The shop's own row: `{key, name, group, cutting_speed_m_min, cutting_force_n_mm2, point_angle_deg, chip_form,
     * lubricant, lubricant_to_avoid?, grabs, edge}`.
     *
     * @throws InvalidInput
     */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->name('key'),
            $fields->name('name'),
            $fields->choice('group', self::GROUPS),
            $fields->between('cutting_speed_m_min', 0, 1000),
            $fields->between('cutting_force_n_mm2', 0, 10_000),
            $fields->between('point_angle_deg', 30, 180),
            $fields->choice('chip_form', self::CHIPS),
            Lubricant::read($fields->text('lubricant')),
            $fields->text('lubricant_to_avoid', ''),
            $fields->flag('grabs'),
            $fields->choice('edge', ['normal', 'zero_rake']) === 'zero_rake',
            true,
        );
    }

    /**
     * A material as an operation is given it: the key of a shipped row, or an object with a row of the shop's own.
     *
     * @throws InvalidInput
     */
    public static function read(Fields $fields, string $key = 'material'): self
    {
        return $fields->isObject($key) ? self::fromFields($fields->object($key)) : MaterialTable::shipped()->get($fields->text($key));
    }

    /** @return array<string, mixed> in the shape that fromFields reads */
    public function toFields(): array
    {
        return [
            'key' => $this->key, 'name' => $this->name, 'group' => $this->group,
            'cutting_speed_m_min' => $this->cuttingSpeedMMin, 'cutting_force_n_mm2' => $this->cuttingForceNMm2,
            'point_angle_deg' => $this->pointAngleDeg, 'chip_form' => $this->chipForm, 'lubricant' => $this->lubricant->said,
            'lubricant_to_avoid' => $this->lubricantToAvoid,
            'grabs' => $this->grabs, 'edge' => $this->needsZeroRake ? 'zero_rake' : 'normal',
        ];
    }

    /** What it is called: a shop's own row as the shop named it. */
    public function word(): Message|string
    {
        return $this->ownRow ? $this->name : Message::of("workshop.material.$this->key");
    }

    /** What not to put on it, and why. */
    public function avoid(): Message|string
    {
        return $this->ownRow ? $this->lubricantToAvoid : Message::of("workshop.avoid.$this->key");
    }

    /** Whether there is anything that must not come near it. */
    public function avoids(): bool
    {
        return ! in_array($this->lubricantToAvoid, ['', 'dry'], true) && ! str_starts_with($this->lubricantToAvoid, 'none');
    }

    /** Soft enough for an awl, and spoilt by a hammer: a blow cracks or bruises it, and a dye crazes it. */
    public function isSoft(): bool
    {
        return in_array($this->group, ['plastic', 'wood'], true);
    }

    /** Nothing oily belongs on it: its row wants it dry, or oil spoils it. */
    public function keepsDry(): bool
    {
        return $this->lubricant->isDry() || $this->isSoft();
    }

    /** What is known against a column of its row; the shop answers for its own rows. */
    public function unsure(string $column): ?Message
    {
        return $this->ownRow ? null : Uncertainty::of('materials.csv', $this->key, $column);
    }
}
