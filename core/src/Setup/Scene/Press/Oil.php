<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Press;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The oil for the cut. */
final class Oil extends Place
{
    public static function name(): string
    {
        return 'oil';
    }

    public static function box(): array
    {
        return [162.0, 36.0, 196.0, 68.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        if ($facts->text('lubricant') === 'dry') {
            $pen->line(Style::Thin, 166, 40, 188, 40);
            $pen->line(Style::Thin, 166, 40, 169, 42);

            return;
        }
        self::block($pen, Style::Outline, 168, 40, 186, 56);
        $pen->text(177, 46, Message::of('setup.scene.oil_pot'));
        $pen->line(Style::Outline, 182, 56, 190, 64);
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
