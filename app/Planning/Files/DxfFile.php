<?php

declare(strict_types=1);

namespace App\Planning\Files;

use App\Language\Sentences;
use Illuminate\Support\Str;
use MillStep\Core\Planning\Drawing\Circle;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Drawing\Path;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Drawing\Text;

/** A drawing as DXF (R12, text), in millimetres, a layer for each kind of line: any drawing program opens it. */
final class DxfFile
{
    /** Layer colours by number: white, red, green … */
    private const LAYERS = [
        'OUTLINE' => 7, 'HOLE' => 7, 'THIN' => 8, 'CENTRE' => 3, 'HIDDEN' => 8, 'THREAD' => 8, 'TOOL' => 5,
        'FAULT' => 1, 'DIMENSION' => 8, 'TEXT' => 7,
    ];

    public static function of(Drawing $drawing, Sentences $says): string
    {
        $lines = [
            '0', 'SECTION', '2', 'HEADER', '9', '$ACADVER', '1', 'AC1009', '9', '$EXTMIN', '10',
            self::n($drawing->minX), '20', self::n($drawing->minY), '9', '$EXTMAX', '10', self::n($drawing->maxX), '20',
            self::n($drawing->maxY), '0', 'ENDSEC',
            '0', 'SECTION', '2', 'TABLES', '0', 'TABLE', '2', 'LAYER', '70', (string) count(self::LAYERS),
        ];
        foreach (self::LAYERS as $layer => $colour) {
            array_push($lines, '0', 'LAYER', '2', $layer, '70', '0', '62', (string) $colour, '6', 'CONTINUOUS');
        }
        array_push($lines, '0', 'ENDTAB', '0', 'ENDSEC', '0', 'SECTION', '2', 'ENTITIES');
        foreach ($drawing->shapes as $shape) {
            array_push($lines, ...match (true) {
                $shape instanceof Path => self::path($shape),
                $shape instanceof Circle => [
                    '0',
                    'CIRCLE',
                    '8',
                    $shape->style === Style::Outline ? 'HOLE' : self::layer($shape->style),
                    '10',
                    self::n($shape->x),
                    '20',
                    self::n($shape->y),
                    '40',
                    self::n($shape->radius),
                ],
                default => self::text($shape, $drawing->textMm, $says),
            });
        }
        array_push($lines, '0', 'ENDSEC', '0', 'EOF');

        return implode("\r\n", $lines)."\r\n";
    }

    /** @return list<string> */
    private static function path(Path $path): array
    {
        $points = $path->closed ? [...$path->points, $path->points[0]] : $path->points;
        $lines = [];
        for ($i = 1; $i < count($points); $i++) {
            array_push(
                $lines,
                '0',
                'LINE',
                '8',
                self::layer($path->style),
                '10',
                self::n($points[$i - 1][0]),
                '20',
                self::n($points[$i - 1][1]),
                '11',
                self::n($points[$i][0]),
                '21',
                self::n($points[$i][1]),
            );
        }

        return $lines;
    }

    /** @return list<string> */
    private static function text(Text $text, float $height, Sentences $says): array
    {
        // R12 knows plain letters only; %%c is its sign for a diameter.
        $words = Str::ascii(str_replace(['⌀ ', '⌀', '×', '°'], ['%%c', '%%c', 'x', '%%d'], DrawingFile::describe($text, $says)));

        return ['0', 'TEXT', '8', 'TEXT', '10', self::n($text->x), '20', self::n($text->y), '40', self::n($height), '1', $words, '50',
            $text->upright ? '90' : '0',
            '72', ['start' => '0', 'middle' => '1', 'end' => '2'][$text->anchor], '11', self::n($text->x), '21', self::n($text->y)];
    }

    private static function layer(Style $style): string
    {
        return $style === Style::Arrow ? 'DIMENSION' : strtoupper($style->value);
    }

    private static function n(float $value): string
    {
        return DrawingFile::plain($value, 4);
    }
}
