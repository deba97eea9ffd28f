<?php

declare(strict_types=1);

use Tests\TestCase;

require_once __DIR__.'/gate.php';

pest()
    ->extend(TestCase::class)
    ->in(
        'People',
        'Competency',
        'Content',
        'Language',
        'Learning',
        'Practice',
        'Assessment',
        'Gate',
        'Measure',
        'Planning',
        'Workshop',
        'Demo',
        'Records',
        'Live',
        'Http',
    );

/**
 * One in so many of what is the same over again, by the day of the year (MILLSTEP_DAY says another); all by bin/test --long.
 *
 * @template T
 *
 * @param  list<T>  $all
 * @return list<T>
 */
function drawn(array $all, int $share): array
{
    $day = (int) (getenv('MILLSTEP_DAY') ?: date('z'));

    return getenv('MILLSTEP_LONG') === 'yes'
        ? $all
        : array_values(array_filter($all, static fn (int $place): bool => ($place + $day) % $share === 0, ARRAY_FILTER_USE_KEY));
}
