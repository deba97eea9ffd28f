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
use MillStep\Core\Reference\FastenerHead;
use MillStep\Core\Reference\Thread;
use MillStep\Core\Reference\ThreadTable;
use MillStep\Core\Workshop\Drill;
use MillStep\Core\Workshop\MaterialTable;

/** Clearance holes and the seats of heads, in the fit that is in force. */
final class SeatChart
{
    public static function of(Bench $bench): Chart
    {
        $metric = self::metric($bench->crib->allDrills());
        $flat = FastenerHead::FLAT[$metric ? 'metric' : 'inch'][0];
        $threads = array_values(array_filter(
            ThreadTable::shipped()->coarse(),
            static fn (Thread $thread): bool => str_starts_with($thread->designation, 'M') === $metric
                && (FastenerHead::of(FastenerHead::CAP, $thread) ?? FastenerHead::of($flat, $thread)) !== null,
        ));
        $policy = $bench->policy;

        return new Chart(
            ChartKind::Seats,
            Message::of('planning.chart.title.seats'),
            [
                $policy->clearanceRule->value === 'table'
                    ? Message::of('planning.chart.note.clearance_table', ['fit' => Message::of("policy.fit.$policy->clearanceFit")])
                    : Message::of('planning.chart.note.clearance_plus', ['plus_mm' => $policy->clearancePlus->inMm()]),
                Message::of('planning.chart.note.bare_mm'),
                Message::of('planning.chart.note.no_drill'),
                Message::of('planning.chart.note.teaching'),
            ],
            [],
            [
                Column::figures(Message::of('planning.chart.column.screw')),
                Column::figures(Message::of('planning.chart.column.clearance_drill')),
                Column::figures(Message::of('planning.chart.column.cap_seat')),
                Column::figures(Message::of('planning.chart.column.cap_deep')),
                Column::figures(Message::of('planning.chart.column.flat_mouth', ['angle_deg' => $metric ? 90 : 82])),
                Column::figures(Message::of('planning.chart.column.washer_seat')),
            ],
            array_map(static fn (Thread $thread): Line => self::line($thread, $flat, $bench), $threads),
        );
    }

    private static function line(Thread $thread, string $flat, Bench $bench): Line
    {
        $cap = FastenerHead::of(FastenerHead::CAP, $thread);
        $cone = FastenerHead::of($flat, $thread);
        $drill = self::drill($thread, $bench);

        return Line::of(
            explode('x', $thread->designation)[0],
            $drill ?? Line::NONE,
            self::length($cap?->seat),
            self::length($cap?->seatDepth),
            self::length($cone?->seat),
            self::length(FastenerHead::of(FastenerHead::WASHER, $thread)?->seat),
        )->strongIf($drill !== null);
    }

    /** The nearest that is wide enough; one that is far wider is no clearance hole. */
    private static function drill(Thread $thread, Bench $bench): ?string
    {
        $material = MaterialTable::shipped()->get('mild_steel');
        try {
            $hole = HoleRequest::fromFields(Fields::of(['purpose' => 'clearance', 'fastener' => $thread->designation]), Length::mm(1));
            $drill = HoleDrill::of($hole, $material, $bench->crib, $bench->policy, $bench->crib->drillsFor($material))->drill;
        } catch (NoCandidate) {
            return null;
        }
        $loosest = $thread->clearanceLoose ?? $thread->major->times(1.2);

        return $drill->diameter->isAtMost($loosest->plus(Length::mm(0.3))) ? $drill->designation : null;
    }

    private static function length(?Length $length): Message|string
    {
        return $length === null ? Line::NONE : Message::of('planning.chart.length', ['size_mm' => round($length->inMm(), 2)]);
    }

    /** @param  list<Drill>  $drills */
    private static function metric(array $drills): bool
    {
        $bare = array_filter($drills, static fn (Drill $drill): bool => preg_match('/^[\d.]+$/', $drill->designation) === 1);

        return 2 * count($bare) >= count($drills);
    }
}
