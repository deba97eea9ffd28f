<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** Why a sheet is put away before it came to anything. */
enum PutAwayBecause: string
{
    case OpenedByMistake = 'opened_by_mistake';
    case Machine = 'machine';
    case Part = 'part';
    case Time = 'time';
    case Unwell = 'unwell';
    case Interrupted = 'interrupted';
    case Other = 'other';

    /** A sheet with marks on it is put away in somebody's own words; one without needs none, but for *other*. */
    public function isSaid(string $words, int $marks): bool
    {
        return ($marks === 0 && $this !== self::Other) || OwnWords::areAccount($words);
    }
}
