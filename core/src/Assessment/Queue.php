<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/**
 * Who is assessed next: first those whose machine is free, among them those who hold up most of their own way, among them who has
 * waited longest. Equals stay in the order in which they were given.
 */
final class Queue
{
    /** Who lacks so few things of the ladder is nearly ready. */
    private const NEARLY = 3;

    public static function isNear(int $missing): bool
    {
        return $missing <= self::NEARLY;
    }

    /**
     * @param  list<Candidate>  $candidates
     * @return list<Candidate>
     */
    public static function order(array $candidates): array
    {
        usort($candidates, static fn (Candidate $a, Candidate $b): int => [
            (int) ($a->machineFree === false), -$a->blocks, $a->readySince->getTimestamp(),
        ] <=> [
            (int) ($b->machineFree === false), -$b->blocks, $b->readySince->getTimestamp(),
        ]);

        return $candidates;
    }
}
