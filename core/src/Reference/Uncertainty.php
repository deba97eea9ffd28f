<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\Message;

/**
 * How sure a figure of the reference tables is (uncertain_rows.csv). Rows and columns are named there by
 * patterns, several divided by a bar.
 */
final class Uncertainty
{
    /** @var list<array{file: string, rows: list<string>, columns: list<string>, says: string}>|null */
    private static ?array $marks = null;

    /**
     * @param  string  $row  the row's key: the material, `5-8 steel` of feeds.csv, `hand` …
     * @return Message|null why it is not sure, or null when nothing is known against it
     *
     * @throws BrokenTable
     */
    public static function of(string $file, string $row, string $column): ?Message
    {
        foreach (self::marks() as $mark) {
            if ($mark['file'] === $file && self::any($mark['rows'], $row) && self::any($mark['columns'], $column)) {
                return Message::of('reference.unsure.'.$mark['says']);
            }
        }

        return null;
    }

    /** @return list<array{file: string, rows: list<string>, columns: list<string>, says: string}> */
    public static function marks(): array
    {
        return self::$marks ??= Table::shipped('uncertain_rows.csv', ['file', 'rows', 'columns', 'id'])
            ->map(static fn (Row $row): array => [
                'file' => $row->text('file'),
                'rows' => explode('|', $row->text('rows')),
                'columns' => explode('|', $row->text('columns')),
                'says' => $row->text('id'),
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
