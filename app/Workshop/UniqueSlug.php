<?php

declare(strict_types=1);

namespace App\Workshop;

use Closure;
use Illuminate\Support\Str;

/** A short key made of a name, for a thing that has none yet; numbered where another has it. */
final class UniqueSlug
{
    private const LONGEST = 50;

    /**
     * @param  string  $instead  for a name that has no letters of the alphabet
     * @param  Closure(string): bool  $taken
     */
    public static function of(string $name, string $instead, Closure $taken, string $separator = '-'): string
    {
        $key = $base = Str::limit(Str::slug($name, $separator), self::LONGEST, '') ?: $instead;
        for ($i = 2; $taken($key); $i++) {
            $key = $base.$separator.$i;
        }

        return $key;
    }
}
