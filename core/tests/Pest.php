<?php

declare(strict_types=1);

use MillStep\Core\Border\CoreException;
use MillStep\Core\Operations;

/**
 * Computes as the JSON border does: the answer as an array, or `['error' => …]`.
 *
 * @param  array<string, mixed>  $input
 * @return array<string, mixed>
 */
function compute(string $operation, array $input): array
{
    try {
        return json_decode(json_encode(Operations::compute($operation, $input), JSON_THROW_ON_ERROR), true);
    } catch (CoreException $fault) {
        return ['error' => json_decode(json_encode($fault->toArray(), JSON_THROW_ON_ERROR), true)];
    }
}

/**
 * Random but the same in every run.
 *
 * @return list<float>
 */
function draws(int $count, float $from, float $to, int $seed = 1): array
{
    $random = new Random\Randomizer(new Random\Engine\Mt19937($seed));

    return array_map(static fn (): float => round($from + ($to - $from) * $random->getInt(0, 1_000_000) / 1_000_000, 3), range(1, $count));
}

/** Messages as they crossed the border, their codes and terms on one line: tests look at what is said, not at words. */
function told(mixed $said): string
{
    if (! is_array($said)) {
        return is_float($said) ? (string) round($said, 6) : (string) $said;
    }
    if (! isset($said['code'])) {
        return implode(' ', array_map(told(...), $said));
    }
    $terms = array_map(static fn (string $name, mixed $term): string => "$name=".told($term), array_keys($said['terms']), $said['terms']);

    return implode(' ', [$said['code'], ...$terms]);
}

/** So many of what is drawn at random as a run has time for: all of it by bin/test --long, a fifth else. */
function histories(int $whole): int
{
    return getenv('MILLSTEP_LONG') === 'yes' ? $whole : intdiv($whole, 5);
}

/** Random by the day: what one day does not draw another does. A failure names the day, and MILLSTEP_DAY draws it again. */
function of_the_day(int $seed): Random\Randomizer
{
    $day = (int) (getenv('MILLSTEP_DAY') ?: date('z'));

    return new Random\Randomizer(new Random\Engine\Mt19937(getenv('MILLSTEP_LONG') === 'yes' ? $seed : $seed + $day));
}
