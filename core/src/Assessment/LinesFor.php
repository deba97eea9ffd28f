<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** The lines of a sheet as one try has them: said for the machine that it is done at, with the reasons that were drawn for it. */
final readonly class LinesFor
{
    /** How many reasons are asked for, where a sheet has more of them. */
    public const REASONS = 3;

    /** Keeps the draw of reasons apart from what else hangs on a seed. */
    private const OTHER = 0x5EA50;

    /**
     * A level that differs by how a machine's speed is set says so: what is right on one is the fault on another.
     *
     * @param  list<array<string, mixed>>  $lines  each may have `levels_for: {running: {met, prompted, not_met}, any: …}`
     * @param  string|null  $speedChange  as the machine's record has it; null: `levels`, as for one that stands still
     * @return list<array<string, mixed>>
     */
    public static function machine(array $lines, ?string $speedChange): array
    {
        return array_map(static function (array $line) use ($speedChange): array {
            $for = is_array($line['levels_for'] ?? null) ? $line['levels_for'][$speedChange ?? ''] ?? null : null;

            return is_array($for) ? [...$line, 'levels' => $for] : $line;
        }, $lines);
    }

    /**
     * With so many reasons as are asked for, drawn by a recorded seed; in the order of the sheet. A bank is made of reasons that have
     * questions to follow: a sheet from before there was one asks for all that it has.
     *
     * @param  list<array<string, mixed>>  $lines
     * @return list<array<string, mixed>>
     */
    public static function drawn(array $lines, int $seed): array
    {
        $bank = array_keys(array_filter($lines, static fn (array $line): bool => ($line['follow_ups'] ?? []) !== []));
        $asked = array_slice((new Randomizer(new Mt19937($seed ^ self::OTHER)))->shuffleArray($bank), 0, self::REASONS);

        return array_values(array_filter(
            $lines,
            static fn (int $index): bool => ! in_array($index, $bank, true) || in_array($index, $asked, true),
            ARRAY_FILTER_USE_KEY,
        ));
    }
}
