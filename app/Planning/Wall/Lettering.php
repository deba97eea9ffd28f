<?php

declare(strict_types=1);

namespace App\Planning\Wall;

/** How wide words come out in the letters that the charts are set in (DejaVu Sans Condensed, whose widths TCPDF ships). */
final class Lettering
{
    public const FONT = 'dejavusanscondensed';

    /** @var array<string, array<int, int>> thousandths of the size, by character */
    private static array $widths = [];

    public static function width(string $words, float $size, bool $bold = false): float
    {
        $widths = self::widths($bold);
        $sum = 0;
        foreach (mb_str_split($words) as $letter) {
            $sum += $widths[(int) mb_ord($letter)] ?? 600;
        }

        return $sum * $size / 1000;
    }

    /** @return non-empty-list<string> lines no wider than that, where no single word is wider */
    public static function wrap(string $words, float $size, float $width, bool $bold = false): array
    {
        $lines = [''];
        foreach (preg_split('/ +/', trim($words)) ?: [] as $word) {
            $last = count($lines) - 1;
            $longer = $lines[$last] === '' ? $word : "$lines[$last] $word";
            if ($lines[$last] === '' || self::width($longer, $size, $bold) <= $width) {
                $lines[$last] = $longer;
            } else {
                $lines[] = $word;
            }
        }

        return $lines;
    }

    /** The widest of its words, which no line can be narrower than. */
    public static function narrowest(string $words, float $size, bool $bold = false): float
    {
        return max(array_map(
            static fn (string $word): float => self::width($word, $size, $bold),
            preg_split('/ +/', $words) ?: [''],
        ));
    }

    /** @return array<int, int> */
    private static function widths(bool $bold): array
    {
        return self::$widths[$bold ? 'bold' : 'plain'] ??= (static function (string $file): array {
            $cw = [];
            require $file;

            /** @var array<int, int> */
            return $cw;
        })(\TCPDF_FONTS::_getfontpath().self::FONT.($bold ? 'b' : '').'.php');
    }
}
