<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Chart;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Planning\Hole\HoleDrill;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Plan\Bench;
use MillStep\Core\Planning\Thread\ThreadWindow;
use MillStep\Core\Reference\Thread;
use MillStep\Core\Reference\ThreadTable;
use MillStep\Core\Workshop\Material;

/** The drill before each tap, of those that the crib has, by what is tapped. */
final class TapDrillChart
{
    private const DUB_FIRST = ' *';

    /** @param  non-empty-list<Material>  $materials */
    public static function of(Bench $bench, array $materials): Chart
    {
        $groups = self::groups($materials);
        $own = $bench->crib->tapThreads();
        $threads = $own !== null && $own !== [] ? $own : ThreadTable::shipped()->coarse();
        $lines = array_map(static fn (Thread $thread): Line => Line::of(
            $thread->designation,
            $thread->chartDrill ?? Line::NONE,
            ...array_map(static fn (Material $material): string => self::drill($thread, $material, $bench), array_values($groups)),
        )->strongIf($own !== null && $own !== []), $threads);

        return new Chart(
            ChartKind::TapDrills,
            Message::of('planning.chart.title.tap_drills'),
            array_values(array_filter([
                Message::of('planning.chart.note.bare_mm'),
                Message::of('planning.chart.note.tap_window'),
                Message::of('planning.chart.note.dubbed'),
                $own === [] ? Message::of('planning.chart.note.no_taps') : null,
                Message::of('planning.chart.note.no_drill'),
                Message::of('planning.chart.note.teaching'),
            ])),
            [],
            [
                Column::figures(Message::of('planning.chart.column.thread')),
                Column::figures(Message::of('planning.chart.column.chart_drill')),
                ...array_map(
                    static fn (string $group): Column => Column::figures(Message::of("planning.chart.group.$group")),
                    array_keys($groups),
                ),
            ],
            $lines,
        );
    }

    /** Of the edge that the material asks for; else one that is to be dubbed first, marked so. */
    private static function drill(Thread $thread, Material $material, Bench $bench): string
    {
        $hole = HoleRequest::fromFields(Fields::of(['purpose' => 'tapped', 'thread' => $thread->designation]), Length::mm(1));
        foreach ([$bench->crib->drillsFor($material), $bench->crib->allDrills()] as $drills) {
            try {
                $drill = HoleDrill::of($hole, $material, $bench->crib, $bench->policy, $drills)->drill;

                return match (true) {
                    $bench->crib->hasEdgeFor($drill, $material) => $drill->designation,
                    $material->needsZeroRake => $drill->designation.self::DUB_FIRST,
                    default => Line::NONE,
                };
            } catch (NoCandidate) {
                // Perhaps one of the other edge does it.
            }
        }

        return Line::NONE;
    }

    /**
     * One material for each group that is tapped with a window of its own, so that no column says what another says.
     *
     * @param  non-empty-list<Material>  $materials
     * @return array<string, Material> by group
     */
    private static function groups(array $materials): array
    {
        $groups = $seen = [];
        foreach ($materials as $material) {
            if ($material->group !== 'wood') {
                $window = ThreadWindow::of($material->group, 'hand');
                $key = "$window->min $window->max $window->target ".($material->needsZeroRake ? 'dubbed' : 'sharp');
                if (! isset($seen[$key]) && ! isset($groups[$material->group])) {
                    $seen[$key] = true;
                    $groups[$material->group] = $material;
                }
            }
        }

        return $groups;
    }
}
