<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Press;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** The speed that the machine is set to, beside what the job card says of drill and work. */
final class SpeedSet extends Place
{
    public static function name(): string
    {
        return 'speed';
    }

    public static function box(): array
    {
        return [106.0, 140.0, 206.0, 206.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        self::block($pen, Style::Outline, 112, 184, 168, 204);
        $pen->text(140, 191, Message::of('setup.scene.rpm', ['set_rpm' => $facts->number('rpm')]));
        self::block($pen, Style::Thin, 112, 146, 198, 180);
        $pen->text(116, 170, Message::of('setup.scene.drill_is'), 'start', $facts->number('diameter_mm'));
        $pen->text(116, 160, Message::of('setup.scene.work_is'), 'start', $facts->number('thickness_mm'));
        $pen->text(116, 150, Message::of('setup.scene.cut', ['cut_m_min' => 24]), 'start');
    }

    public static function state(SceneFacts $facts): string
    {
        return 'set';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [SceneFault::of('speed_too_fast', ['rpm' => $sound->number('fast_rpm')])];
    }

    protected static function terms(SceneFacts $facts): array
    {
        return ['set_rpm' => $facts->number('rpm'), 'drill_mm' => $facts->number('diameter_mm')];
    }
}
