<?php

declare(strict_types=1);

namespace App\Gate\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class BadgeWasRead implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public string $machine)
    {
    }

    public function channels(): array
    {
        return ["machine-{$this->machine}"];
    }
}
