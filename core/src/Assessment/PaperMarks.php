<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\InvalidInput;

/**
 * What was marked on a printed sheet, read back by the numbers of its lines: `1-18 +`, `19 o`, `20 -`, `21 2`. A plus is met, an o
 * prompted, a minus not met, a figure the points of a judged line. What was measured is read in at the part.
 */
final readonly class PaperMarks
{
    private const MARKS = ['+' => 'met', 'o' => 'prompted', '-' => 'not_met'];

    /** A line or a run of them, and what they were. */
    private const ENTRY = '/^(\d{1,3})(?:\s*-\s*(\d{1,3}))?\s+(\+|o|O|-|\d{1,3})$/D';

    private const MOST = 400;

    /** @param  array<string, string|int>  $results  by line's id, in the order of the sheet */
    private function __construct(public array $results)
    {
    }

    /**
     * @param  string  $text  one entry a line, or several with a semicolon between them
     * @param  list<array{id: string, kind: string, scale_max?: int}>  $lines  of the sheet, numbered from 1
     *
     * @throws InvalidInput at `text`, saying which entry
     */
    public static function read(string $text, array $lines): self
    {
        $found = [];
        foreach (preg_split('/[;\n]+/u', $text) ?: [] as $entry) {
            $entry = trim($entry);
            foreach ($entry === '' ? [] : self::entry($entry, $lines) as $id => $result) {
                if (isset($found[$id]) && $found[$id] !== $result) {
                    throw self::fault('twice', $entry);
                }
                $found[$id] = $result;
            }
        }
        if ($found === []) {
            throw self::fault('empty', '');
        }

        $ordered = [];
        foreach (array_column($lines, 'id') as $id) {
            if (isset($found[$id])) {
                $ordered[$id] = $found[$id];
            }
        }

        return new self($ordered);
    }

    /**
     * @param  list<array{id: string, kind: string, scale_max?: int}>  $lines
     * @return array<string, string|int>
     *
     * @throws InvalidInput
     */
    private static function entry(string $entry, array $lines): array
    {
        $entry = strtr($entry, ['–' => '-', '−' => '-']);
        if (mb_strlen($entry) > self::MOST || preg_match(self::ENTRY, $entry, $parts) !== 1) {
            throw self::fault('unread', mb_substr($entry, 0, 40));
        }
        [, $from, $to, $mark] = $parts;
        $from = (int) $from;
        $to = $to === '' ? $from : (int) $to;
        if ($from < 1 || $to < $from || $to > count($lines)) {
            throw self::fault('no_such_line', $entry, ['lines' => count($lines)]);
        }
        $results = [];
        foreach (array_slice($lines, $from - 1, $to - $from + 1, true) as $index => $line) {
            $results[$line['id']] = self::result($line, strtolower($mark), $entry, $index + 1);
        }

        return $results;
    }

    /**
     * @param  array{id: string, kind: string, scale_max?: int}  $line
     *
     * @throws InvalidInput
     */
    private static function result(array $line, string $mark, string $entry, int $number): string|int
    {
        $most = $line['scale_max'] ?? 1;

        return match (true) {
            $line['kind'] === 'measured' => throw self::fault('measured', $entry, ['line' => $number]),
            $line['kind'] === 'judged' => ctype_digit($mark) && (int) $mark <= $most ? (int) $mark
                : throw self::fault('points', $entry, ['line' => $number, 'most' => $most]),
            default => self::MARKS[$mark] ?? throw self::fault('points_unasked', $entry, ['line' => $number]),
        };
    }

    /** @param  array<string, int|string>  $terms */
    private static function fault(string $what, string $entry, array $terms = []): InvalidInput
    {
        return InvalidInput::at('text', "assessment.paper.$what", ['entry' => $entry, ...$terms]);
    }
}
