<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A punch mark under a drill, to scale: wide enough for its dead web to drop into, and too small for it. */
final class MarkUnderDrill extends LessonDrawing
{
    /** A centre punch is ground to that (domain practice). */
    private const PUNCH_DEG = 90.0;

    public static function name(): string
    {
        return 'mark_under_drill';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $hole = $scene->hole();
        $first = ($hole->pilot ?? $hole->drill)->diameter?->inMm() ?? 1.0;
        $web = $first * $hole->policy->webRatio;
        $pen = Pen::forSize(7.5 * $first);
        self::mark($pen, 0, $first, $web, 1.8 * $web, Style::Tool);
        self::mark($pen, 3.6 * $first, $first, $web, 0.6 * $web, Style::Fault);
        $pen->text(0, -$first - $pen->letters(0.6), Message::of('learning.drawing.web_drops_in'));
        $pen->text(3.6 * $first, -$first - $pen->letters(0.6), Message::of('learning.drawing.web_rides'));

        return $pen->drawing('lesson.mark_under_drill');
    }

    private static function mark(Pen $pen, float $x, float $drill, float $web, float $wide, Style $style): void
    {
        $deep = $wide / 2 / tan(deg2rad(self::PUNCH_DEG / 2));
        $side = 1.1 * $drill;
        $pen->area(Style::Outline, [
            [$x - $side, 0], [$x - $wide / 2, 0], [$x, -$deep], [$x + $wide / 2, 0], [$x + $side, 0],
            [$x + $side, -0.8 * $drill], [$x - $side, -0.8 * $drill],
        ], true);
        // The dead web is as good as flat: it stands where the mark is as wide as it, or on the rim of one that is not.
        $stands = $wide > $web ? -$deep * (1 - $web / $wide) : 0.0;
        $lip = ($drill - $web) / 2 / tan(deg2rad(59));
        $pen->path($style, [
            [$x - $drill / 2, $stands + $lip + 0.5 * $drill], [$x - $drill / 2, $stands + $lip], [$x - $web / 2, $stands],
            [$x + $web / 2, $stands], [$x + $drill / 2, $stands + $lip], [$x + $drill / 2, $stands + $lip + 0.5 * $drill],
        ]);
    }
}
