<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Lathe;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The key of the lathe's chuck. */
final class ChuckKey extends Place
{
    public static function name(): string
    {
        return 'key';
    }

    public static function box(): array
    {
        return [54.0, 14.0, 104.0, 34.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        if ($facts->flag('chuck_key_in_chuck')) {
            self::block($pen, Style::Tool, 69, 16, 73, 34);
            self::block($pen, Style::Tool, 60, 12, 82, 16);

            return;
        }
        self::block($pen, Style::Tool, 92, 15, 106, 18);
        self::block($pen, Style::Tool, 88, 15, 92, 26);
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
