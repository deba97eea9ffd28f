<?php

declare(strict_types=1);

namespace App\Content\Agree;

/** Where two things that a shop is told do not agree. */
final readonly class Violation
{
    public function __construct(
        public string $rule,
        public string $file,
        public string $id,
        public string $stands,
        public string $disagrees,
    ) {
    }

    /** By which an exception names it. */
    public function key(): string
    {
        return "$this->rule $this->id";
    }

    public function line(): string
    {
        return "$this->rule  $this->file  $this->id: $this->stands; $this->disagrees";
    }
}
