<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

/** Compares what was chosen where its order does not count. */
final class Chosen
{
    /**
     * @param  list<string>  $some
     * @param  list<string>  $others
     */
    public static function same(array $some, array $others): bool
    {
        sort($some);
        sort($others);

        return array_values(array_unique($some)) === array_values(array_unique($others));
    }
}
