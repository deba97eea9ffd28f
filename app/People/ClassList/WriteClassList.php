<?php

declare(strict_types=1);

namespace App\People\ClassList;

use App\People\User;

/** The learners as a list that can be taken in again. Badges are known by their hash alone, and do not go out. */
final class WriteClassList
{
    public function csv(): string
    {
        $stream = fopen('php://temp', 'r+b');
        assert($stream !== false);
        fputcsv($stream, ['name', 'mail', 'cohort', 'born', 'guardian'], ',', '"', '');
        foreach (User::learners()->with('cohorts')->get() as $learner) {
            fputcsv($stream, array_map(self::safe(...), [
                $learner->name,
                $learner->email,
                $learner->cohorts->pluck('name')->implode('|'),
                $learner->born_on?->format('Y-m-d') ?? '',
                $learner->guardian_acknowledged_on?->format('Y-m-d') ?? '',
            ]), ',', '"', '');
        }
        rewind($stream);

        return (string) stream_get_contents($stream);
    }

    /** A spreadsheet would compute what begins like a formula. */
    private static function safe(string $cell): string
    {
        return preg_match('/^[=+\-@\t]/', $cell) === 1 ? "'$cell" : $cell;
    }
}
