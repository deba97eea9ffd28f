<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Workshop\Holding\Reaction;

/** A plate that is held by hand, from above: how far round it comes before a hand can let go, at this drill's speed. */
final class ThrownRound extends LessonDrawing
{
    private const LONG = 50.0;

    private const WIDE = 22.0;

    /** Until a hand lets go, in seconds (reaction: the usual figure). */
    private const REACTION_S = 0.25;

    public static function name(): string
    {
        return 'thrown_round';
    }

    public static function draw(LessonScene $scene): ?Drawing
    {
        $rpm = $scene->hole()->drill->rpm;
        if ($rpm === null) {
            return null;
        }
        $turns = (new Reaction($rpm, self::REACTION_S, Length::mm(self::LONG)))->compute()->turns;
        $pen = new Pen(5.0);
        self::plate($pen, Style::Outline, 0.0);
        foreach ([60, 120, 180, 240, 300] as $deg) {
            self::plate($pen, Style::Hidden, -$deg);
        }
        $reach = hypot(self::LONG, self::WIDE / 2);
        $steps = max(2, (int) round(36 * $turns));
        $points = [[$reach, 0.0]];
        for ($i = 1; $i <= $steps; $i++) {
            $angle = -2 * M_PI * $turns * $i / $steps;
            // Each time round a little further out, so that the turns can be counted.
            $points[] = [($reach + 4 * $turns * $i / $steps) * cos($angle), ($reach + 4 * $turns * $i / $steps) * sin($angle)];
        }
        $pen->path(Style::Fault, $points);
        $pen->circle(Style::Tool, 0, 0, $scene->hole()->diameter()->inMm() / 2);
        $said = Message::of('learning.drawing.turns_before', ['turns' => round($turns, 1)]);
        $pen->text(0, -$reach - 4 * $turns - $pen->letters(2.2), $said);

        return $pen->drawing('lesson.thrown_round');
    }

    private static function plate(Pen $pen, Style $style, float $deg): void
    {
        $cos = cos(deg2rad($deg));
        $sin = sin(deg2rad($deg));
        $pen->area($style, array_map(
            static fn (array $p): array => [$p[0] * $cos - $p[1] * $sin, $p[0] * $sin + $p[1] * $cos],
            [[-8.0, -self::WIDE / 2], [self::LONG, -self::WIDE / 2], [self::LONG, self::WIDE / 2], [-8.0, self::WIDE / 2]],
        ));
    }
}
