<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Press;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The drill in the chuck. */
final class DrillFitted extends Place
{
    public static function name(): string
    {
        return 'drill';
    }

    public static function box(): array
    {
        return [68.0, 58.0, 84.0, 86.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $half = 0.55 * $facts->number('diameter_mm');
        if ($facts->text('tool') === 'wood_bit') {
            self::block($pen, Style::Tool, 74.5, 68, 77.5, 86);
            $pen->area(Style::Tool, [[76 - 1.5 * $half, 68], [76 - 1.5 * $half, 61], [75, 61], [76, 57], [77, 61], [76 + 1.5 * $half, 61],
                [76 + 1.5 * $half, 68]]);

            return;
        }
        $pen->area(
            Style::Tool,
            [[76 - $half, 86], [76 - $half, 60 + 0.6 * $half], [76, 59], [76 + $half, 60 + 0.6 * $half], [76 + $half, 86]],
        );
        foreach ([64, 71, 78] as $low) {
            $pen->line(Style::Tool, 76 - $half, $low, 76 + $half, $low + 6);
        }
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->text('tool') === 'wood_bit' ? 'wood' : 'twist';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [SceneFault::of('wood_bit_in_metal', ['tool' => 'wood_bit'])];
    }
}
