<?php

declare(strict_types=1);

namespace App\Workshop\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

/** Somebody looked at it at the start of the day. */
final readonly class MachineChecked implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public string $machine)
    {
    }

    public function channels(): array
    {
        return ['shop', "machine-{$this->machine}"];
    }
}
