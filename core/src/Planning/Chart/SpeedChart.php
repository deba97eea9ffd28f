<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Chart;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Cutting\Cutting;
use MillStep\Core\Planning\Plan\Bench;
use MillStep\Core\Policy\SpeedSchool;
use MillStep\Core\Workshop\MachineSpec;
use MillStep\Core\Workshop\Material;

/** What one machine is set to, by material and size of the drill. */
final class SpeedChart
{
    /** Sizes that a wall has room for; those in between go by the larger one, which turns slower. */
    private const METRIC = [2, 3, 4, 5, 6, 8, 10, 12, 16, 20, 25];

    private const INCH = ['1/16' => 1 / 16, '1/8' => 1 / 8, '3/16' => 3 / 16, '1/4' => 1 / 4, '3/8' => 3 / 8, '1/2' => 1 / 2,
        '5/8' => 5 / 8, '3/4' => 3 / 4, '1' => 1.0];

    /** @param  non-empty-list<Material>  $materials */
    public static function of(Bench $bench, array $materials): Chart
    {
        $machine = $bench->machine;
        $sizes = self::sizes($machine);
        $lines = [];
        $tooFast = false;
        foreach ($materials as $material) {
            $cells = [$material->word()];
            foreach ($sizes as $size) {
                $cutting = Cutting::of($machine, $material, $bench->policy, $size, 'drilling');
                $tooFast = $tooFast || $cutting->machineTooFast();
                $cells[] = $cutting->machineTooFast() ? Line::NONE : self::plain($cutting->speed->chosenRpm);
            }
            $lines[] = Line::of(...$cells);
        }

        return new Chart(
            ChartKind::Speeds,
            Message::of('planning.chart.title.speeds', ['machine' => $machine->word()]),
            [...self::notes($bench), ...($tooFast ? [Message::of('planning.chart.note.too_fast')] : [])],
            self::settings($machine),
            [
                Column::words(Message::of('planning.chart.column.material')),
                ...array_map(Column::figures(...), array_map(self::heading(...), array_keys($sizes))),
            ],
            $lines,
        );
    }

    /** @return non-empty-array<string|int, Length> by how the chart calls them: those that the chuck or the socket holds */
    private static function sizes(MachineSpec $machine): array
    {
        $all = $machine->scale->unit === 'in'
            ? array_map(static fn (float $inch): Length => Length::mm(25.4 * $inch), self::INCH)
            : array_combine(self::METRIC, array_map(static fn (int $mm): Length => Length::mm($mm), self::METRIC));
        $held = $machine->taper === null && $machine->chuckMax !== null
            ? array_filter($all, $machine->chuckMax->isAtLeast(...)) : $all;

        return $held !== [] ? $held : array_slice($all, 0, 1, true);
    }

    private static function heading(string|int $size): Message
    {
        return is_int($size) ? Message::of('planning.size.metric', ['size' => (string) $size])
            : Message::of('planning.chart.column.inch', ['size' => $size]);
    }

    /** @return list<Message> which belt or lever each speed is */
    private static function settings(MachineSpec $machine): array
    {
        return array_map(static fn (float $rpm): Message => Message::of('planning.chart.setting', [
            'rpm' => self::plain($rpm), 'setting' => $machine->speeds->setting($rpm) ?? '',
        ]), $machine->speeds->all());
    }

    /** @return list<Message> the school, the cap, and when the speed may be changed */
    private static function notes(Bench $bench): array
    {
        return [
            Message::of('planning.chart.note.'.($bench->policy->speedSchool === SpeedSchool::Shop ? 'shop_speed' : 'surface_speed')),
            ...($bench->policy->learnerCapRpm === null ? [] : [
                Message::of('planning.chart.note.cap', ['cap_rpm' => $bench->policy->learnerCapRpm]),
            ]),
            Message::of('planning.chart.note.change_'.$bench->machine->speedChange),
        ];
    }

    private static function plain(float $rpm): string
    {
        return (string) (int) round($rpm);
    }
}
