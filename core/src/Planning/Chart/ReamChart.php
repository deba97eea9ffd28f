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
use MillStep\Core\Planning\Ream\ReamAllowance;
use MillStep\Core\Planning\Ream\ReamVerdict;
use MillStep\Core\Workshop\MaterialTable;

/** What to leave for each reamer of the crib, and the drill that leaves it; where there are no reamers, the table. */
final class ReamChart
{
    public static function of(Bench $bench): Chart
    {
        $own = $bench->crib->reamers() ?? [];

        return new Chart(
            ChartKind::Reaming,
            Message::of('planning.chart.title.reaming'),
            [
                Message::of('planning.chart.note.ream_school', [
                    'school' => Message::of('policy.ream_school.'.$bench->policy->reamSchool->value),
                ]),
                Message::of('planning.chart.note.ream_slow'),
                Message::of($own === [] ? 'planning.chart.note.no_reamers' : 'planning.chart.note.no_drill'),
                Message::of('planning.chart.note.teaching'),
            ],
            [],
            array_map(
                static fn (string $column): Column => Column::figures(Message::of("planning.chart.column.$column")),
                $own === [] ? ['up_to', 'leave_machine', 'leave_hand'] : ['reamer', 'driven', 'drill_first', 'leaves', 'leave_window'],
            ),
            $own === [] ? self::table() : array_map(static fn (array $reamer): Line => self::line($reamer, $bench), $own),
        );
    }

    /** @param  array{diameter: Length, method: 'hand'|'machine'}  $reamer */
    private static function line(array $reamer, Bench $bench): Line
    {
        $size = self::length($reamer['diameter']);
        $driven = Message::of('planning.chart.driven.'.$reamer['method']);
        try {
            $hole = HoleRequest::fromFields(Fields::of([
                'purpose' => 'reamed', 'diameter_mm' => $reamer['diameter']->inMm(), 'reamer' => $reamer['method'],
            ]), Length::mm(1));
            $material = MaterialTable::shipped()->get('mild_steel');
            $drill = HoleDrill::of($hole, $material, $bench->crib, $bench->policy, $bench->crib->drillsFor($material));
            $ream = $drill->ream;
        } catch (NoCandidate) {
            $ream = $drill = null;
        }
        if ($ream === null) {
            return Line::of($size, $driven, Line::NONE, Line::NONE, Line::NONE);
        }
        $fits = $ream->verdict === ReamVerdict::Good || HoleDrill::keepsItsSchool($ream, $reamer['method'], $bench->policy);

        return Line::of(
            $size,
            $driven,
            $fits ? $ream->preDrill->designation : Line::NONE,
            $fits ? self::length($ream->allowance) : Line::NONE,
            Message::of('planning.chart.from_to', ['least_mm' => $ream->window->min->inMm(), 'most_mm' => $ream->window->max->inMm()]),
        )->strongIf($fits);
    }

    /** @return list<Line> */
    private static function table(): array
    {
        $hand = ReamAllowance::shipped('hand');
        $window = static fn (ReamAllowance $row): Message => Message::of('planning.chart.from_to', [
            'least_mm' => $row->min->inMm(), 'most_mm' => $row->max->inMm(),
        ]);

        return array_map(
            static fn (ReamAllowance $row, ReamAllowance $byHand): Line => Line::of(
                self::length($row->upTo),
                $window($row),
                $window($byHand),
            ),
            ReamAllowance::shipped('machine'),
            $hand,
        );
    }

    private static function length(Length $length): Message
    {
        return Message::of('planning.chart.length', ['size_mm' => round($length->inMm(), 3)]);
    }
}
