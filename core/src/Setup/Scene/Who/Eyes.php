<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Who;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The learner's eyes, with glasses before them or without. */
final class Eyes extends Place
{
    public static function name(): string
    {
        return 'eyes';
    }

    public static function box(): array
    {
        return [222.0, 138.0, 262.0, 166.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $pen->circle(Style::Outline, 246, 150, 17);
        $pen->path(Style::Outline, [[229, 150], [225, 145], [230, 143]]);
        $pen->path(Style::Thin, [[233, 140], [240, 139]]);
        if ($facts->flag('eye_protection')) {
            self::block($pen, Style::Tool, 228, 149, 240, 157);
            $pen->line(Style::Tool, 240, 155, 258, 154);

            return;
        }
        $pen->circle(Style::Outline, 235, 153, 1.6);
        $pen->path(Style::Thin, [[231, 158], [239, 158]]);
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->flag('eye_protection') ? 'covered' : 'bare';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [SceneFault::of('eye_protection_missing', ['eye_protection' => false])];
    }
}
