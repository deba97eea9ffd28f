<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Lathe;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The speed that the lathe is set to, and which way its spindle turns. */
final class LatheSpeed extends Place
{
    public static function name(): string
    {
        return 'speed';
    }

    public static function box(): array
    {
        return [0.0, 84.0, 44.0, 140.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        self::block($pen, Style::Outline, 0, 112, 44, 140);
        $pen->text(22, 129, Message::of('setup.scene.rpm', ['set_rpm' => $facts->number('rpm')]));
        $forward = $facts->text('rotation') === 'forward';
        $pen->path(Style::Outline, [[12, 96], [14, 104], [22, 108], [30, 104], [32, 96]]);
        $tip = $forward ? 12 : 32;
        $pen->area(Style::Arrow, [[$tip, 90], [$tip - 4, 98], [$tip + 4, 98]]);
        $pen->text(22, 117, Message::of($forward ? 'setup.scene.forward' : 'setup.scene.reverse'));
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->text('rotation');
    }

    public static function faults(SceneFacts $sound): array
    {
        return [
            SceneFault::of('speed_too_fast', ['rpm' => $sound->number('fast_rpm')]),
            SceneFault::of('rotation_wrong', ['rotation' => 'reverse']),
        ];
    }

    protected static function terms(SceneFacts $facts): array
    {
        return ['set_rpm' => $facts->number('rpm'), 'drill_mm' => $facts->number('diameter_mm')];
    }
}
