<?php

declare(strict_types=1);

namespace App\Planning\Files;

use App\Language\Sentences;
use MillStep\Core\Planning\Drawing\Circle;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Path;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Drawing\Text;

/** A drawing as SVG, black on white, one millimetre a millimetre: printed at full size it can be laid on the work. */
final class SvgFile
{
    /** Line widths in millimetres, as drawings have them. */
    private const WIDTHS = ['outline' => 0.5, 'tool' => 0.35, 'fault' => 0.7, 'arrow' => 0.1];

    private const DASHES = ['centre' => '6 1.2 1 1.2', 'hidden' => '2.4 1.2'];

    public static function of(Drawing $drawing, Sentences $says): string
    {
        $width = $drawing->maxX - $drawing->minX;
        $height = $drawing->maxY - $drawing->minY;
        $shapes = array_map(static fn (Path|Circle|Text $shape): string => match (true) {
            $shape instanceof Path => self::path($shape),
            $shape instanceof Circle => sprintf(
                '<circle cx="%s" cy="%s" r="%s" %s/>',
                self::n($shape->x),
                self::n(-$shape->y),
                self::n($shape->radius),
                self::stroke($shape->style),
            ),
            default => self::text($shape, $drawing->textMm, $says),
        }, $drawing->shapes);

        return sprintf(
            '<?xml version="1.0" encoding="UTF-8"?>'."\n".'<svg xmlns="http://www.w3.org/2000/svg" width="%1$smm" height="%2$smm" '
                .'viewBox="%3$s %4$s %1$s %2$s" fill="none" stroke="#000">'."\n",
            self::n($width),
            self::n($height),
            self::n($drawing->minX),
            self::n(-$drawing->maxY),
        )
            .'<defs><pattern id="hatch" width="2" height="2" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><line x1="0" '
                .'y1="0" x2="0" y2="2" stroke="#000" stroke-width="0.18"/></pattern></defs>'."\n"
            .implode("\n", $shapes)."\n</svg>\n";
    }

    private static function path(Path $path): string
    {
        $points = implode(' ', array_map(static fn (array $point): string => self::n($point[0]).','.self::n(-$point[1]), $path->points));
        $fill = $path->hatched ? ' fill="url(#hatch)"' : ($path->style === Style::Arrow ? ' fill="#000"' : '');

        return sprintf('<%s points="%s" %s%s/>', $path->closed ? 'polygon' : 'polyline', $points, self::stroke($path->style), $fill);
    }

    private static function text(Text $text, float $height, Sentences $says): string
    {
        $turn = $text->upright ? sprintf(' transform="rotate(-90 %s %s)"', self::n($text->x), self::n(-$text->y)) : '';

        return sprintf(
            '<text x="%s" y="%s" font-family="monospace" font-size="%s" text-anchor="%s" fill="#000" stroke="none"%s>%s</text>',
            self::n($text->x),
            self::n(-$text->y),
            self::n($height),
            $text->anchor,
            $turn,
            htmlspecialchars(DrawingFile::describe($text, $says), ENT_XML1 | ENT_QUOTES),
        );
    }

    private static function stroke(Style $style): string
    {
        $dashes = self::DASHES[$style->value] ?? null;

        return sprintf(
            'stroke-width="%s"',
            self::n(self::WIDTHS[$style->value] ?? 0.18),
        ).($dashes === null ? '' : " stroke-dasharray=\"$dashes\"");
    }

    private static function n(float $value): string
    {
        return DrawingFile::plain($value, 3);
    }
}
