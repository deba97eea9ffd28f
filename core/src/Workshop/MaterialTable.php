<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Message;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Table;

/** The materials that the shop drills (materials.csv). */
final class MaterialTable
{
    private static ?self $shipped = null;

    /** @param  array<string, Material>  $materials by key */
    private function __construct(private readonly array $materials)
    {
    }

    /** @throws BrokenTable */
    public static function shipped(): self
    {
        return self::$shipped ??= self::load();
    }

    /** @throws InvalidInput naming the field `material` */
    public function get(string $key): Material
    {
        return $this->materials[$key]
            ?? throw InvalidInput::at(
                'material',
                'workshop.material_unknown',
                ['said' => Message::quote($key), 'known' => array_keys($this->materials)],
            );
    }

    /** @return array<string, Material> by key */
    public function all(): array
    {
        return $this->materials;
    }

    private static function load(): self
    {
        $rows = Table::shipped(
            'materials.csv',
            ['material', 'display_name', 'group', 'hss_drilling_speed_min_m_min', 'hss_drilling_speed_max_m_min', 'grabs', 'edge_prep'],
        )->map(Material::fromRow(...));

        return new self(array_combine(array_map(static fn (Material $material): string => $material->key, $rows), $rows));
    }
}
