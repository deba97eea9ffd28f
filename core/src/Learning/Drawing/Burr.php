<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The edge of a hole: with its burr, with the burr gone, and with a cone that nobody asked for. */
final class Burr extends LessonDrawing
{
    private const APART = 40.0;

    public static function name(): string
    {
        return 'burr';
    }

    public static function wantsHole(): bool
    {
        return false;
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $pen = new Pen(3.4);
        $edges = [
            'burr_raw' => [[Style::Fault], [[0, 0], [3.4, 0], [4.4, 2.4], [5, 0]]],
            'burr_gone' => [[Style::Tool], [[0, 0], [4.5, 0], [5, -0.5]]],
            'burr_cone' => [[Style::Fault], [[0, 0], [0.5, 0], [5, -4.5]]],
        ];
        $x = 0.0;
        foreach ($edges as $name => [[$style], $edge]) {
            $pen->area(Style::Outline, [[$x - 14, 0], [$x, 0], ...array_map(
                static fn (array $p): array => [$x + $p[0], (float) $p[1]], array_slice($edge, 1),
            ), [$x + 5, -14], [$x - 14, -14]], true);
            $pen->path($style, array_map(static fn (array $p): array => [$x + $p[0], (float) $p[1]], $edge));
            $pen->text($x - 4, -14 - $pen->letters(1.6), Message::of("learning.drawing.$name"));
            $x += self::APART;
        }

        return $pen->drawing('lesson.burr');
    }
}
