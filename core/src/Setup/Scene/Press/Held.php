<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Press;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** How the work is held on the table. */
final class Held extends Place
{
    public static function name(): string
    {
        return 'holding';
    }

    public static function box(): array
    {
        return [24.0, 46.0, 66.0, 80.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $top = 48 + 1.1 * $facts->number('thickness_mm');
        $holding = $facts->text('holding');
        if ($holding === 'hand_bare') {
            $pen->area(
                Style::Outline,
                [[22, $top + 5], [34, $top + 6], [44, $top + 3], [52, $top + 2], [52, $top - 2], [42, $top - 3], [36, 46], [22, 44]],
            );

            return;
        }
        if (str_starts_with($holding, 'vice')) {
            foreach ([[30, 40], [112, 122]] as [$left, $right]) {
                self::block($pen, Style::Outline, $left, 40, $right, $top + 4, true);
            }
            foreach ($holding === 'vice_bolted' ? [25, 127] : [] as $bolt) {
                self::block($pen, Style::Outline, $bolt - 4, 40, $bolt + 4, 44);
                self::block($pen, Style::Outline, $bolt - 2.5, 44, $bolt + 2.5, 51);
                $pen->line(Style::Thin, $bolt, 40, $bolt, 32);
            }

            return;
        }
        foreach ($holding === 'bar_clamp_single' ? [[34, 1]] : [[34, 1], [118, -1]] as [$bolt, $way]) {
            $pen->area(Style::Outline, [
                [$bolt - 10 * $way, $top], [$bolt + 14 * $way, $top], [$bolt + 14 * $way, $top + 5], [$bolt - 10 * $way, $top + 5],
            ]);
            self::block($pen, Style::Outline, $bolt - 2.5, $top + 5, $bolt + 2.5, $top + 11);
            $pen->line(Style::Thin, $bolt, $top, $bolt, 32);
            self::block($pen, Style::Thin, min($bolt - 10 * $way, $bolt - 5 * $way), 40, max($bolt - 10 * $way, $bolt - 5 * $way), $top);
        }
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->text('holding');
    }

    public static function faults(SceneFacts $sound): array
    {
        return [
            SceneFault::of('work_hand_held', ['holding' => 'hand_bare'], ['holding_lets_lift']),
            ...$sound->text('holding') === 'vice_bolted'
                ? [SceneFault::of('vice_loose_on_table', ['holding' => 'vice_loose'], ['holding_lets_turn', 'holding_lets_lift'])]
                : [SceneFault::of('holding_lets_turn', ['holding' => 'bar_clamp_single'])],
        ];
    }
}
