<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Reads a value that may be anything: out of a YAML file, a JSON column, a row of the database. What is not of the kind
 * asked for reads as nothing, so that a list in the place of a word is a fault of the file and never a crash.
 */
final class Given
{
    /** Empty for what is no text and no number. */
    public static function text(mixed $value): string
    {
        return is_string($value) || is_int($value) || is_float($value) ? (string) $value : '';
    }

    /** 0 for what is no number. */
    public static function whole(mixed $value): int
    {
        return is_numeric($value) ? (int) $value : 0;
    }

    /** 0 for what is no number. */
    public static function number(mixed $value): float
    {
        return is_numeric($value) ? (float) $value : 0.0;
    }

    /** @return list<string> the texts of a list, without what is none */
    public static function texts(mixed $value): array
    {
        return is_array($value) ? array_values(array_filter($value, is_string(...))) : [];
    }

    /** @return list<array<string, mixed>> a list of mappings; an entry that is none stands empty, in its place */
    public static function rows(mixed $value): array
    {
        return array_map(self::fields(...), is_array($value) ? array_values($value) : []);
    }

    /** @return array<string, mixed> a mapping; empty for what is none */
    public static function fields(mixed $value): array
    {
        $fields = [];
        foreach (is_array($value) ? $value : [] as $key => $each) {
            $fields[(string) $key] = $each;
        }

        return $fields;
    }
}
