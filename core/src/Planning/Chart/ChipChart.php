<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Chart;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Chip\ChipSign;
use MillStep\Core\Planning\Chip\ChipSigns;
use MillStep\Core\Planning\Plan\Bench;

/** What the chip and the noise say in one material. */
final class ChipChart
{
    public static function of(Bench $bench): Chart
    {
        return new Chart(
            ChartKind::Chips,
            Message::of('planning.chart.title.chips', ['material' => $bench->material->word()]),
            [
                Message::of('planning.chart.note.chips_by_hand'),
                Message::of('planning.chart.note.ribbon_'.$bench->policy->chipSchool->value),
            ],
            [],
            array_map(
                static fn (string $column): Column => Column::words(Message::of("planning.chart.column.$column")),
                ['sees', 'cause', 'remedy'],
            ),
            array_map(
                static fn (ChipSign $sign): Line => Line::of($sign->sees, $sign->cause, $sign->remedy)->strongIf($sign->sign === 'right'),
                ChipSigns::of($bench->material, $bench->policy),
            ),
        );
    }
}
