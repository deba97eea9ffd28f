<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Chart;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Measure\DrillTable;
use MillStep\Core\Measure\SizeSystem;
use MillStep\Core\Workshop\CribSpec;
use MillStep\Core\Workshop\Drill;

/** Numbers, letters, fractions and millimetres side by side, smallest first; what lies in the crib stands out. */
final class SizeChart
{
    /** In the order in which the names of one diameter are told. */
    private const SYSTEMS = ['number', 'letter', 'fraction_inch', 'metric'];

    public static function of(CribSpec $crib): Chart
    {
        $own = $crib->allDrills();
        $least = min(array_map(static fn (Drill $drill): float => $drill->diameter->inMm(), $own));
        $most = max(array_map(static fn (Drill $drill): float => $drill->diameter->inMm(), $own));
        $sizes = [];
        foreach (self::SYSTEMS as $system) {
            foreach (DrillTable::standard()->series(SizeSystem::from($system)) as $designation => $diameter) {
                $mm = $diameter->inMm();
                $held = self::holds($own, $diameter);
                // Millimetres in between are many, and nobody reads them off a wall unless they lie in the crib.
                if ($mm >= $least - 0.0005 && $mm <= $most + 0.0005 && ($held || $system !== 'metric' || fmod($mm * 2, 1.0) < 1e-6)) {
                    $key = number_format($mm, 3, '.', '');
                    $sizes[$key] ??= ['names' => [], 'mm' => $key, 'held' => $held];
                    $sizes[$key]['names'][] = (string) $designation;
                }
            }
        }
        uasort($sizes, static fn (array $a, array $b): int => (float) $a['mm'] <=> (float) $b['mm']);

        return new Chart(
            ChartKind::Sizes,
            Message::of('planning.chart.title.sizes'),
            [Message::of('planning.chart.note.in_crib')],
            [],
            array_map(
                static fn (string $column): Column => Column::figures(Message::of("planning.chart.column.$column")),
                ['called', 'in_mm'],
            ),
            array_values(array_map(
                static fn (array $size): Line => Line::of(implode(' = ', $size['names']), $size['mm'])->strongIf($size['held']),
                $sizes,
            )),
        );
    }

    /** @param  list<Drill>  $drills */
    private static function holds(array $drills, Length $diameter): bool
    {
        return Drill::nearest($drills, $diameter)?->diameter->equals($diameter) === true;
    }
}
