<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

/**
 * How sure a figure of the reference tables is (uncertain_rows.csv). Rows and columns are named there by
 * patterns, several divided by a bar.
 */
final class Uncertainty
{
    /** @var list<array{file: string, rows: list<string>, columns: list<string>, words: string}>|null */
    private static ?array $marks = null;

    /**
     * @param  string  $row  the row's key: the material, `5-8 steel` of feeds.csv, `hand` …
     * @return string|null why it is not sure, or null when nothing is known against it
     *
     * @throws BrokenTable
     */
    public static function of(string $file, string $row, string $column): ?string
    {
        foreach (self::marks() as $mark) {
            if ($mark['file'] === $file && self::any($mark['rows'], $row) && self::any($mark['columns'], $column)) {
                return $mark['words'];
            }
        }

        return null;
    }

    /** @return list<array{file: string, rows: list<string>, columns: list<string>, words: string}> */
    public static function marks(): array
    {
        return self::$marks ??= Table::shipped('uncertain_rows.csv', ['file', 'rows', 'columns',
            'how_unsure'])->map(static fn (Row $row): array => [
                'file' => $row->text('file'),
                'rows' => explode('|', $row->text('rows')),
                'columns' => explode('|', $row->text('columns')),
                'words' => $row->text('how_unsure'),
            ]);
    }

    /** @param  list<string>  $patterns */
    private static function any(array $patterns, string $name): bool
    {
        foreach ($patterns as $pattern) {
            if (fnmatch($pattern, $name)) {
                return true;
            }
        }

        return false;
    }
}
