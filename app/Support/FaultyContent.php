<?php

declare(strict_types=1);

namespace App\Support;

/** Content that cannot be published; nothing of it was kept. */
final class FaultyContent extends \RuntimeException
{
    /** @param  non-empty-list<ContentFault>  $faults */
    private function __construct(public readonly array $faults)
    {
        parent::__construct(implode('; ', array_map(
            static fn (ContentFault $fault): string => "$fault->file:$fault->line {$fault->what->code}",
            $faults,
        )));
    }

    /** @param  list<ContentFault>  $faults */
    public static function unless(array $faults): void
    {
        if ($faults !== []) {
            throw new self($faults);
        }
    }
}
