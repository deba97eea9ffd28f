<?php

declare(strict_types=1);

namespace App\People\ClassList;

/**
 * A CSV file as spreadsheets and schools write them: comma, semicolon or tab; with or without a byte order mark.
 * As UTF-8: the page has read whatever the file was in.
 */
final readonly class CsvFile
{
    /**
     * @param  array<int, string>  $header  in lower case
     * @param  array<int, array<int, string>>  $lines  by the line in which each begins
     */
    private function __construct(public array $header, private array $lines)
    {
    }

    public static function read(string $text): self
    {
        $text = str_replace(["\r\n", "\r"], "\n", (string) preg_replace('/^\x{FEFF}/u', '', $text));
        $first = strtok($text, "\n") ?: '';
        $counts = array_map(static fn (string $sign): int => substr_count($first, $sign), [',' => ',', ';' => ';', "\t" => "\t"]);
        arsort($counts);
        $stream = fopen('php://temp', 'r+b');
        assert($stream !== false);
        fwrite($stream, $text);
        rewind($stream);
        $lines = [];
        $line = 1;
        $at = 0;
        while (($cells = fgetcsv($stream, null, (string) array_key_first($counts), '"', '')) !== false) {
            $begins = $line;
            // A field in quotes may run over several lines.
            $line += substr_count($text, "\n", $at, (int) ftell($stream) - $at);
            $at = (int) ftell($stream);
            $cells = array_map(static fn (?string $cell): string => self::plain((string) $cell), $cells);
            if (implode('', $cells) !== '') {
                $lines[$begins] = $cells;
            }
        }
        fclose($stream);
        $header = $lines === [] ? [] : $lines[array_key_first($lines)];
        unset($lines[array_key_first($lines) ?? 0]);

        return new self(array_map(static fn (string $name): string => mb_strtolower($name), $header), $lines);
    }

    /** @return array<int, array<string, string>> by line: what stands under each name of the header */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->lines as $line => $cells) {
            foreach ($this->header as $column => $name) {
                $rows[$line][$name] = $cells[$column] ?? '';
            }
        }

        return $rows;
    }

    /** What was escaped so that a spreadsheet does not compute it is plain again. */
    private static function plain(string $cell): string
    {
        return trim((string) preg_replace("/^'(?=[=+\\-@])/", '', trim(str_replace("\0", '', $cell))));
    }
}
