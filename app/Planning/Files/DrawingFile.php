<?php

declare(strict_types=1);

namespace App\Planning\Files;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Drawing\Text;

/** What drawing files share: how a length is written in somebody's units. */
final class DrawingFile
{
    /** @param  'mm'|'in'  $units */
    public static function words(Text $text, string $units): string
    {
        return $text->lengthMm === null ? $text->before : $text->before.self::length($text->lengthMm, $units);
    }

    /** @param  'mm'|'in'  $units */
    public static function length(float $mm, string $units): string
    {
        return $units === 'in' ? number_format(Length::mm($mm)->inInches(), 3, '.', '').' in' : self::plain($mm).' mm';
    }

    public static function plain(float $mm, int $digits = 2): string
    {
        $text = number_format($mm, $digits, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
