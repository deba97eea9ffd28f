<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** A chuck from below: the drill between all three jaws, and a thin one caught between two. */
final class ChuckJaws extends LessonDrawing
{
    /** How wide a jaw is against the body. */
    private const JAW = 0.12;

    public static function name(): string
    {
        return 'chuck_jaws';
    }

    public static function draw(LessonScene $scene): Drawing
    {
        $drill = $scene->hole()->diameter()->inMm();
        $thin = $scene->hole()->pilot?->diameter?->inMm() ?? $drill / 4;
        $body = 2.4 * ($scene->hole()->machine->chuckMax?->inMm() ?? 1.4 * $drill);
        $pen = new Pen($body / 11);
        self::chuck($pen, 0, $body, $drill / 2, $drill / 2, 0.0, true);
        // Nipped beside the middle, between the flanks of two jaws: the third holds nothing.
        $aside = ($body * self::JAW / 2 + $thin / 2) / sin(M_PI / 3);
        self::chuck($pen, 1.4 * $body, $body, 0.35 * $aside, $thin / 2, $aside, false);
        $pen->text(0, -$body / 2 - $pen->letters(1.6), Message::of('learning.drawing.three_jaws'));
        $pen->text(1.4 * $body, -$body / 2 - $pen->letters(1.6), Message::of('learning.drawing.two_jaws'));

        return $pen->drawing('lesson.chuck_jaws');
    }

    private static function chuck(Pen $pen, float $x, float $body, float $open, float $radius, float $aside, bool $right): void
    {
        $pen->circle(Style::Outline, $x, 0, $body / 2);
        foreach ([90, 210, 330] as $deg) {
            $out = [cos(deg2rad($deg)), sin(deg2rad($deg))];
            $across = [-$out[1] * $body * self::JAW / 2, $out[0] * $body * self::JAW / 2];
            $far = $body * 0.42;
            $pen->area(Style::Outline, [
                [$x + $open * $out[0] + $across[0], $open * $out[1] + $across[1]],
                [$x + $far * $out[0] + $across[0], $far * $out[1] + $across[1]],
                [$x + $far * $out[0] - $across[0], $far * $out[1] - $across[1]],
                [$x + $open * $out[0] - $across[0], $open * $out[1] - $across[1]],
            ], true);
        }
        // Between the two lower jaws.
        $pen->circle($right ? Style::Tool : Style::Fault, $x, -$aside, $radius);
    }
}
