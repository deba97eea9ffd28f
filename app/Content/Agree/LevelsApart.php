<?php

declare(strict_types=1);

namespace App\Content\Agree;

use App\Support\Given;

/** C7: no two levels of a line describe the same event, told by the words that carry meaning. */
final class LevelsApart implements Rule
{
    private const EMPTY_WORDS = [
        'the', 'a', 'an', 'on', 'in', 'with', 'of', 'to', 'by', 'and', 'or', 'it', 'was', 'at', 'as', 'after', 'before',
    ];

    public function violations(Shelf $shelf): array
    {
        $found = [];
        foreach ($shelf->sheets as $code => $sheet) {
            foreach (Given::rows($sheet['criteria'] ?? null) as $line) {
                $both = Given::fields($line['levels'] ?? null);
                $levels = array_map(static fn (mixed $words): string => self::carried(Given::text($words)), $both);
                $id = $code.' '.Given::text($line['id'] ?? null);
                if (count(array_unique($levels)) < count($levels)) {
                    $found[] = new Violation(
                        'C7', Given::text($sheet['file']), $id, 'two levels say the same', implode(' / ', $levels),
                    );
                }
                // A line that ends the sheet where it is not met: reminded with power on is not met, not a prompt.
                $power = static fn (string $level): bool => str_contains(strtolower(Given::text($both[$level] ?? null)), 'power on');
                if ($power('prompted') && $power('not_met') && ($line['critical'] ?? false) === true) {
                    $found[] = new Violation(
                        'C7', Given::text($sheet['file']), $id, 'prompted and not met are one event', 'power was on in both',
                    );
                }
            }
        }

        return $found;
    }

    private static function carried(string $words): string
    {
        $each = array_diff(preg_split('/[^a-z0-9]+/', strtolower($words), -1, PREG_SPLIT_NO_EMPTY) ?: [], self::EMPTY_WORDS);
        sort($each);

        return implode(' ', $each);
    }
}
