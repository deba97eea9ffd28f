<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

/**
 * One reference table: a CSV file of core/data, read and checked once. A row that is not what its column
 * promises is refused with file, line and column; a broken table is a broken installation, so it stops.
 */
final readonly class Table
{
    /** @param  list<array<string, string>>  $rows */
    private function __construct(private string $file, private array $rows)
    {
    }

    /**
     * @param  non-empty-list<string>  $columns  that the caller reads; others are carried along
     *
     * @throws BrokenTable when the file is missing, a column is absent or a row has the wrong width
     */
    public static function read(string $path, array $columns): self
    {
        $file = basename($path);
        $handle = is_file($path) ? fopen($path, 'r') : false;
        if ($handle === false) {
            throw BrokenTable::missing($file);
        }
        try {
            $header = fgetcsv($handle, escape: '');
            if ($header === false || array_diff($columns, $header) !== []) {
                throw BrokenTable::at(
                    $file,
                    1,
                    implode(', ', array_diff($columns, $header === false ? [] : $header)),
                    'the column is missing',
                );
            }
            $rows = [];
            for ($line = 2; ($cells = fgetcsv($handle, escape: '')) !== false; $line++) {
                if ($cells === [null]) {
                    continue;
                }
                if (count($cells) !== count($header)) {
                    throw BrokenTable::at(
                        $file,
                        $line,
                        (string) $header[min(count($cells), count($header)) - 1],
                        sprintf('the row has %d cells, the header %d', count($cells), count($header)),
                    );
                }
                $rows[] = array_map(strval(...), array_combine(array_map(strval(...), $header), $cells)) + ['_line' => (string) $line];
            }

            return new self($file, $rows);
        } finally {
            fclose($handle);
        }
    }

    /**
     * @param  non-empty-list<string>  $columns
     *
     * @throws BrokenTable
     */
    public static function shipped(string $file, array $columns): self
    {
        return self::read(dirname(__DIR__, 2).'/data/'.$file, $columns);
    }

    /**
     * @template T
     *
     * @param  callable(Row): T  $make
     * @return list<T>
     *
     * @throws BrokenTable
     */
    public function map(callable $make): array
    {
        return array_map(fn (array $row) => $make(new Row($this->file, (int) $row['_line'], $row)), $this->rows);
    }
}
