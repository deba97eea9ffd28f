<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/** That a machine's record says something else of a trait since an instant; null: it said nothing before, or says nothing now. */
final readonly class MachineChange
{
    public function __construct(
        public string $trait,
        public ?string $from,
        public ?string $to,
        public \DateTimeImmutable $at,
    ) {
    }
}
