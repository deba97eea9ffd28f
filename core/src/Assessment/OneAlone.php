<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** Whether one person alone has taught, confirmed and assessed: nobody else has seen this learner work. */
final readonly class OneAlone
{
    /**
     * @param  list<int>  $taught  who has opened hold points
     * @param  list<int>  $confirmed  who has confirmed practice
     * @param  list<int>  $assessed  who has concluded a passed sheet, or watched one
     * @return int|null the one
     */
    public static function among(array $taught, array $confirmed, array $assessed): ?int
    {
        $all = array_values(array_unique([...$taught, ...$confirmed, ...$assessed]));

        return $confirmed !== [] && $assessed !== [] && count($all) === 1 ? $all[0] : null;
    }
}
