<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Press;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The chuck key: on its hook, or where it flies from. */
final class Key extends Place
{
    public static function name(): string
    {
        return 'key';
    }

    public static function box(): array
    {
        return [84.0, 88.0, 134.0, 128.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $pen->line(Style::Outline, 112, 126, 112, 120);
        $pen->line(Style::Outline, 112, 120, 118, 120);
        if ($facts->flag('chuck_key_in_chuck')) {
            self::block($pen, Style::Tool, 90, 102, 110, 106);
            self::block($pen, Style::Tool, 110, 93, 114, 115);

            return;
        }
        self::block($pen, Style::Tool, 115, 98, 119, 121);
        self::block($pen, Style::Tool, 107, 94, 127, 98);
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->flag('chuck_key_in_chuck') ? 'in_chuck' : 'on_hook';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [SceneFault::of('chuck_key_left', ['chuck_key_in_chuck' => true])];
    }
}
