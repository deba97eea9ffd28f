<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Drawing;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Workshop\Holding\Workholding;

/**
 * Where a holding goes, seen from above, to scale by its lever: the hole, the way the drill would throw the work, and what
 * takes that, on the side that it is thrown to.
 */
final class HoldingDrawing
{
    /** A spindle turns clockwise seen from above, and takes the work with it. */
    private const ARC_DEG = [150.0, -60.0];

    private const POST_MM = 8.0;

    /** Nearer than so many diameters nothing grips beside the hole: then there is nothing to show. */
    private const CLEAR = 0.8;

    /**
     * Null for a chuck, for what nobody should hold with, and for a grip that would lie in the drill's way.
     *
     * @param  Length|null  $bar  the diameter of round work
     */
    public static function of(Workholding $holding, Length $lever, Length $hole, ?Length $bar): ?Drawing
    {
        $out = $lever->inMm();
        if ($holding->machine === 'lathe' || $holding->byHand() || $out < self::CLEAR * $hole->inMm()) {
            return null;
        }
        $half = $bar === null ? max(0.55 * $out, 0.9 * $hole->inMm()) : $bar->inMm() / 2;
        $pen = Pen::forSize(2.6 * $out);
        $reach = 1.5 * $out;
        match (true) {
            str_starts_with($holding->method, 'v_block') => self::vBlock($pen, $out, $half, $reach),
            str_starts_with($holding->method, 'vice') => self::vice($pen, $out, $half, $holding->method === 'vice_against_stop'),
            default => self::table($pen, $holding->method, $out, $half, $reach),
        };
        self::hole($pen, $hole->inMm() / 2, min(0.45 * $out, 0.8 * $half));
        $pen->dimensionX(0, 0, $out, 0, -($half + $pen->letters(5)), '', $lever->inMm());

        return $pen->drawing('holding');
    }

    /** The hole, and which way the work is thrown. */
    private static function hole(Pen $pen, float $radius, float $arc): void
    {
        $pen->circle(Style::Outline, 0, 0, $radius);
        $pen->centreMark(0, 0, $radius);
        $arc = max($arc, 1.5 * $radius);
        $points = [];
        for ($deg = self::ARC_DEG[0]; $deg >= self::ARC_DEG[1]; $deg -= 10) {
            $points[] = [$arc * cos(deg2rad($deg)), $arc * sin(deg2rad($deg))];
        }
        if ($points !== []) {
            $pen->path(Style::Fault, $points);
        }
        [$x, $y] = [$arc * cos(deg2rad(self::ARC_DEG[1])), $arc * sin(deg2rad(self::ARC_DEG[1]))];
        $tip = $pen->letters(1.2);
        // Clockwise: at its lower right end the arrow points down and to the left.
        $way = deg2rad(self::ARC_DEG[1] - 90);
        $across = $way + M_PI / 2;
        $pen->area(Style::Arrow, [
            [$x + $tip * cos($way), $y + $tip * sin($way)],
            [$x + $tip * 0.4 * cos($across), $y + $tip * 0.4 * sin($across)],
            [$x - $tip * 0.4 * cos($across), $y - $tip * 0.4 * sin($across)],
        ]);
    }

    /** Two jaws along the work, which grip over their whole length and bear as from the lever. */
    private static function vice(Pen $pen, float $out, float $half, bool $stop): void
    {
        $jaw = 0.35 * $out;
        $long = 1.25 * $out;
        self::box($pen, Style::Outline, -1.1 * $out, -$half, 1.1 * $out, $half);
        self::box($pen, Style::Tool, -$long, $half, $long, $half + $jaw, true);
        self::box($pen, Style::Tool, -$long, -$half - $jaw, $long, -$half, true);
        $pen->text(0, $half + $jaw + $pen->letters(0.5), Message::of('planning.drawing.jaws'));
        if ($stop) {
            self::stop($pen, $long - self::POST_MM, -$half - $jaw - self::POST_MM);
        }
    }

    /** A bar in two V-blocks, a strap over each, the gap between them under the hole. */
    private static function vBlock(Pen $pen, float $out, float $half, float $reach): void
    {
        self::box($pen, Style::Outline, -$reach, -$half, $reach, $half);
        $block = 0.3 * $out;
        $wide = 2.2 * $half;
        foreach ([-$out, $out] as $x) {
            self::box($pen, Style::Hidden, $x - $block, -$wide, $x + $block, $wide);
            self::box($pen, Style::Tool, $x - $block / 2, -1.5 * $wide, $x + $block / 2, 1.5 * $wide, true);
        }
        $pen->text($out, 1.5 * $wide + $pen->letters(0.5), Message::of('planning.drawing.strap'));
        $pen->text(-$out, 1.5 * $wide + $pen->letters(0.5), Message::of('planning.drawing.v_block'));
    }

    /** Clamped to the table, one side or both; where one clamp has to do, the post takes the turning. */
    private static function table(Pen $pen, string $method, float $out, float $half, float $reach): void
    {
        self::box($pen, Style::Outline, -$reach, -$half, $reach, $half);
        $wide = 0.22 * $out;
        if ($method === 'angle_plate_clamped') {
            self::box($pen, Style::Tool, -$reach, $half, $reach, $half + 0.3 * $out, true);
            $pen->text(0, $half + 0.3 * $out + $pen->letters(0.5), Message::of('planning.drawing.angle_plate'));
        }
        $single = in_array($method, ['bar_clamp_single', 'bar_clamp_and_stop'], true);
        if ($method !== 'jig_against_stop') {
            foreach ($single ? [$out] : [-$out, $out] as $x) {
                self::box($pen, Style::Tool, $x - $wide, -0.4 * $half, $x + $wide, $half + 0.5 * $out, true);
                $pen->circle(Style::Thin, $x, $half + 0.25 * $out, 0.1 * $out);
            }
            $pen->text($out, $half + 0.5 * $out + $pen->letters(0.5), Message::of('planning.drawing.strap'));
        }
        if (str_ends_with($method, 'stop')) {
            self::stop($pen, $reach - self::POST_MM, -$half - self::POST_MM);
        }
    }

    /** A post where the work is thrown to: its right end goes down. */
    private static function stop(Pen $pen, float $x, float $y): void
    {
        $pen->circle(Style::Tool, $x, $y, self::POST_MM);
        $pen->text($x + self::POST_MM + $pen->letters(0.5), $y - $pen->letters(0.5), Message::of('planning.drawing.stop'), 'start');
    }

    private static function box(Pen $pen, Style $style, float $left, float $low, float $right, float $high, bool $hatched = false): void
    {
        $pen->area($style, [[$left, $low], [$right, $low], [$right, $high], [$left, $high]], $hatched);
    }
}
