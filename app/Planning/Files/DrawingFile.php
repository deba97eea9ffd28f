<?php

declare(strict_types=1);

namespace App\Planning\Files;

use App\Language\Sentences;
use MillStep\Core\Planning\Drawing\Text;

/** What drawing files share: its words in somebody's language and units. */
final class DrawingFile
{
    public static function describe(Text $text, Sentences $says): string
    {
        return $says->say($text->before).($text->lengthMm === null ? '' : $says->length($text->lengthMm, 2));
    }

    public static function plain(float $mm, int $digits = 2): string
    {
        $text = number_format($mm, $digits, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
