<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Press;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** What lies under the hole. */
final class UnderHole extends Place
{
    public static function name(): string
    {
        return 'under';
    }

    public static function box(): array
    {
        return [66.0, 20.0, 110.0, 48.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $under = $facts->text('under_hole');
        match ($under) {
            'scrap' => self::block($pen, Style::Thin, 44, 40, 108, 48, true),
            'parallel' => self::block($pen, Style::Outline, 71, 40, 81, 48, true),
            default => null,
        };
        foreach ($under === 'gap' || $under === 'table' ? [[44, 52], [100, 108]] : [] as [$left, $right]) {
            self::block($pen, Style::Outline, $left, 40, $right, 48, true);
        }
        if ($under === 'parallel') {
            self::block($pen, Style::Outline, 44, 40, 54, 48, true);
        }
        if ($under === 'table') {
            self::block($pen, Style::Outline, 66, 32, 86, 40, true);
        } else {
            self::block($pen, Style::Thin, 66, 32, 86, 40);
        }
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->text('under_hole');
    }

    public static function faults(SceneFacts $sound): array
    {
        return [
            SceneFault::of('drill_into_table', ['under_hole' => 'parallel']),
            SceneFault::of('drill_into_table', ['under_hole' => 'table']),
        ];
    }
}
