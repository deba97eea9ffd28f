<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Drawing\Bench;

use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Drawing\MarkDrawing;
use MillStep\Core\Learning\PartMark;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;

/** The circle of the hole with four pricks on it: half of each has to be left when it is drilled. */
final class ProofCircle extends MarkDrawing
{
    /** How wide a prick is against the radius, drawn larger than it is. */
    private const PRICK = 0.12;

    public static function name(): string
    {
        return 'proof_circle';
    }

    protected static function at(PartMark $mark): Drawing
    {
        $radius = $mark->diameter->inMm() / 2;
        $pen = Pen::forSize(6.4 * $radius);
        foreach ([0, 1] as $place) {
            $x = $place * 3.4 * $radius;
            $pen->circle($place === 0 ? Style::Thin : Style::Outline, $x, 0, $radius);
            $pen->centreMark($x, 0, $radius);
            foreach ([0, 90, 180, 270] as $deg) {
                // After drilling only the outer half of each is there.
                $points = [];
                foreach (range($place === 0 ? 0 : $deg - 90, $place === 0 ? 360 : $deg + 90, 15) as $at) {
                    $points[] = [
                        $x + $radius * cos(deg2rad($deg)) + self::PRICK * $radius * cos(deg2rad($at)),
                        $radius * sin(deg2rad($deg)) + self::PRICK * $radius * sin(deg2rad($at)),
                    ];
                }
                $pen->path(Style::Tool, $points);
            }
            $pen->text($x, -$radius - $pen->letters(2), Message::of('learning.drawing.'.($place === 0 ? 'four_pricks' : 'half_left')));
        }

        return $pen->drawing('lesson.proof_circle');
    }
}
