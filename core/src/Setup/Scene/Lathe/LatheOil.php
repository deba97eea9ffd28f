<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The oil for the cut. */
final class LatheOil extends Place
{
    public static function name(): string
    {
        return 'oil';
    }

    public static function box(): array
    {
        return [108.0, 14.0, 140.0, 34.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        if ($facts->text('lubricant') === 'dry') {
            $pen->line(Style::Thin, 112, 14, 134, 14);

            return;
        }
        self::block($pen, Style::Outline, 112, 15, 130, 28);
        $pen->text(121, 19, Message::of('setup.scene.oil_pot'));
        $pen->line(Style::Outline, 127, 28, 134, 34);
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->text('lubricant') === 'dry' ? 'none' : 'ready';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [SceneFault::of('lubricant_missing', ['lubricant' => 'dry'])];
    }
}
