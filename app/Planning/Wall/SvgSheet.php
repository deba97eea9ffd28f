<?php

declare(strict_types=1);

namespace App\Planning\Wall;

use App\Planning\Files\DrawingFile;

/** A sheet as SVG, black on white, at its own size. */
final class SvgSheet
{
    public static function of(Sheet $sheet): string
    {
        $n = static fn (float $value): string => DrawingFile::plain($value, 3);
        $bars = array_map(static fn (array $bar): string => sprintf(
            '<rect x="%s" y="%s" width="%s" height="%s"%s/>',
            $n($bar['x']),
            $n($bar['y']),
            $n($bar['width']),
            $n($bar['height']),
            $bar['grey'] === 0 ? '' : sprintf(' fill="#%1$02x%1$02x%1$02x"', $bar['grey']),
        ), $sheet->bars);
        $words = array_map(static fn (array $words): string => sprintf(
            '<text x="%s" y="%s" font-size="%s"%s>%s</text>',
            $n($words['x']),
            $n($words['y']),
            $n($words['size']),
            $words['bold'] ? ' font-weight="bold"' : '',
            htmlspecialchars($words['words'], ENT_XML1 | ENT_QUOTES),
        ), $sheet->words);

        return sprintf(
            '<?xml version="1.0" encoding="UTF-8"?>'."\n".'<svg xmlns="http://www.w3.org/2000/svg" width="%1$smm" height="%2$smm" '
                .'viewBox="0 0 %1$s %2$s" font-family="\'DejaVu Sans Condensed\', \'DejaVu Sans\', Arial, sans-serif" '
                .'font-stretch="condensed">'."\n".'<rect width="%1$s" height="%2$s" fill="#fff"/>'."\n",
            $n($sheet->width),
            $n($sheet->height),
        ).implode("\n", [...$bars, ...$words])."\n</svg>\n";
    }
}
