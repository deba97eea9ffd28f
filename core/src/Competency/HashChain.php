<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/**
 * Ties each ledger entry to the one before it, so that a removed or altered line shows.
 * The hash is SHA-256 over the previous hash and the entry's parts, each led by its length.
 */
final class HashChain
{
    /** What the first entry follows. */
    public const START = '0000000000000000000000000000000000000000000000000000000000000000';

    /** @param  non-empty-list<string>  $parts in a fixed order */
    public static function next(string $previousHash, array $parts): string
    {
        $joined = '';
        foreach ([$previousHash, ...$parts] as $part) {
            $joined .= strlen($part).':'.$part;
        }

        return hash('sha256', $joined);
    }
}
