<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

/**
 * A size as people write and say it, brought to how a table has it: `⌀6`, `#7 drill`, `half inch`, `1½"`, `tres octavos`
 * become `6`, `#7`, `1/2 in`, `1-1/2"`, `3/8 in`. Says nothing about whether there is such a size.
 */
final class SizeWords
{
    /** Of the diameter, of the tool and of the hole: they add nothing to the number. */
    private const BESIDE = 'drill(?:\s+bit)?|reamer|hole|dia\.?|diam\.?|diameter|broca|escariador|agujero|di[aá]metro';

    private const SIGNS = [
        '½' => '1/2', '¼' => '1/4', '¾' => '3/4', '⅛' => '1/8', '⅜' => '3/8', '⅝' => '5/8', '⅞' => '7/8', '⁄' => '/',
        '″' => '"', '”' => '"', '“' => '"', "''" => '"', '–' => '-', '−' => '-', '⌀' => '', 'ø' => '', '∅' => '',
    ];

    private const COUNTS = [
        'a' => 1, 'an' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8,
        'nine' => 9, 'ten' => 10, 'eleven' => 11, 'thirteen' => 13, 'fifteen' => 15, 'un' => 1, 'una' => 1, 'uno' => 1, 'dos' => 2,
        'tres' => 3, 'cuatro' => 4, 'cinco' => 5, 'seis' => 6, 'siete' => 7, 'ocho' => 8, 'nueve' => 9, 'diez' => 10, 'once' => 11,
        'trece' => 13, 'quince' => 15,
    ];

    private const PARTS = [
        'half' => 2, 'halves' => 2, 'quarter' => 4, 'eighth' => 8, 'sixteenth' => 16, 'thirty-second' => 32, 'sixty-fourth' => 64,
        'media' => 2, 'medio' => 2, 'cuarto' => 4, 'octavo' => 8, 'dieciseisavo' => 16, 'treintaidosavo' => 32,
        '16th' => 16, '32nd' => 32, '64th' => 64, '8th' => 8, '4th' => 4,
    ];

    private const INCH = '(?:"|inch(?:es)?|in\.?|pulgadas?|pulg\.?)';

    private function __construct()
    {
    }

    public static function plain(string $text): string
    {
        $said = mb_strtolower(mb_scrub($text));
        // A whole number and a sign for the rest are one number: 1½.
        $said = (string) preg_replace('/(\d)\s*(?=[½¼¾⅛⅜⅝⅞])/u', '$1-', $said);
        $said = trim(strtr($said, self::SIGNS));
        $said = (string) preg_replace('/^(?:'.self::BESIDE.')\s+(?=\S)|(?<=\S)\s+(?:'.self::BESIDE.')$/u', '', $said);
        $said = (string) preg_replace(['/^(?:letra|letter)\s+/u', '/^n(?:\.?[º°o]|[uú]mero)\.?\s*(?=\d)/u'], ['', '#'], $said);

        return self::spoken($said) ?? (string) preg_replace(
            ['/\s*'.self::INCH.'$/u', '/\s*(?:millimet(?:re|er)s?|mil[ií]metros?)$/u', '/\s*mil[eé]simas?$/u'],
            [' in', ' mm', ' thou'],
            $said,
        );
    }

    /** `half an inch`, `three eighths`, `one and a quarter inches`; null where no such words are. */
    private static function spoken(string $said): ?string
    {
        $words = preg_split('/\s+/', trim((string) preg_replace('/(?:\s+(?:of\s+an|an|of|de))?\s*'.self::INCH.'$/u', '', $said))) ?: [];
        $words = array_values(array_filter($words, static fn (string $word): bool => $word !== ''));
        $joint = array_search('and', $words, true);
        $joint = $joint === false ? array_search('y', $words, true) : $joint;
        if ($joint !== false) {
            $whole = self::count(implode(' ', array_slice($words, 0, $joint)));
            $rest = self::part(array_slice($words, $joint + 1));

            return $whole === null || $rest === null ? null : "$whole-$rest in";
        }
        $part = self::part($words);

        return $part === null ? null : "$part in";
    }

    /** @param  list<string>  $words */
    private static function part(array $words): ?string
    {
        if (count($words) === 1 && preg_match('~^\d+/\d+$~', $words[0]) === 1) {
            // 1 and 1/4: only a joint brings it here.
            return $words[0];
        }
        $last = array_pop($words) ?? '';
        $bottom = self::PARTS[$last] ?? self::PARTS[rtrim($last, 's')] ?? null;
        if ($bottom === null || count($words) > 1) {
            return null;
        }
        $top = $words === [] ? 1 : self::count($words[0]);

        return $top === null ? null : "$top/$bottom";
    }

    private static function count(string $word): ?int
    {
        return self::COUNTS[$word] ?? (preg_match('/^\d{1,2}$/', $word) === 1 ? (int) $word : null);
    }
}
