<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene\Who;

use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Setup\Scene\Place;
use MillStep\Core\Setup\Scene\SceneFacts;
use MillStep\Core\Setup\Scene\SceneFault;

/** What the learner wears, where a spindle can take hold of it. */
final class Clothes extends Place
{
    public static function name(): string
    {
        return 'clothes';
    }

    public static function box(): array
    {
        return [176.0, 60.0, 276.0, 134.0];
    }

    public static function draw(Pen $pen, SceneFacts $facts): void
    {
        $loose = $facts->flag('loose_items') ? $facts->text('loose_what') : '';
        $pen->path(Style::Outline, [[238, 134], [232, 120], [230, 62]]);
        $pen->path(Style::Outline, [[256, 136], [266, 122], [268, 62]]);
        $pen->path(Style::Outline, [[236, 122], [204, 108]]);
        $pen->path(Style::Outline, [[233, 106], [205, 97]]);
        if ($loose === 'sleeve') {
            $pen->area(Style::Outline, [[212, 112], [203, 110], [196, 84], [203, 82], [207, 92], [210, 80], [214, 99]]);
        } else {
            $pen->line(Style::Outline, 204, 108, 205, 97);
            $pen->line(Style::Outline, 208, 110, 209, 98);
        }
        self::hand($pen, 178, 102, $loose === 'glove');
        if ($loose === 'hair') {
            $pen->area(Style::Outline, [
                [250, 166], [260, 160], [263, 148], [258, 134], [244, 116], [234, 92], [226, 80], [224, 92],
                [232, 112], [246, 134], [252, 148],
            ]);
            foreach ([0, 4] as $strand) {
                $pen->path(Style::Thin, [[256 - $strand, 156], [255 - $strand, 140], [240 - $strand, 116], [230 - $strand / 2, 94]]);
            }

            return;
        }
        $pen->circle(Style::Outline, 265, 153, 5);
    }

    public static function state(SceneFacts $facts): string
    {
        return $facts->flag('loose_items') ? $facts->text('loose_what') : 'close';
    }

    public static function faults(SceneFacts $sound): array
    {
        return [
            SceneFault::of('loose_items', ['loose_items' => true, 'loose_what' => 'sleeve']),
            SceneFault::of('loose_items', ['loose_items' => true, 'loose_what' => 'hair']),
            SceneFault::of('loose_items', ['loose_items' => true, 'loose_what' => 'glove']),
        ];
    }
}
