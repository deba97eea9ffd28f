<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Length;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Table;

/** The standard drill series (drill_sizes.csv): number, letter, 64ths, metric. */
final class DrillTable
{
    private static ?self $standard = null;

    /** @param  array<string, array<string, Length>>  $diameters by system and designation */
    private function __construct(private readonly array $diameters)
    {
    }

    /** @throws BrokenTable */
    public static function standard(): self
    {
        return self::$standard ??= self::load();
    }

    public function find(SizeSystem $system, string $designation): ?Length
    {
        return $this->diameters[$system->value][$designation] ?? null;
    }

    /** @return array<string, Length> by designation, in the table's order */
    public function series(SizeSystem $system): array
    {
        return $this->diameters[$system->value] ?? [];
    }

    private static function load(): self
    {
        $diameters = [];
        Table::shipped('drill_sizes.csv', ['system', 'designation', 'diameter_mm'])->map(
            static function ($row) use (&$diameters): void {
                $diameters[$row->text('system')][$row->text('designation')] = $row->length('diameter_mm');
            },
        );

        return new self($diameters);
    }
}
