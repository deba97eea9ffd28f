<?php

declare(strict_types=1);

namespace App\Workshop\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class MachineTakenOutOfService implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public int $machineId, public string $machine)
    {
    }

    public function channels(): array
    {
        return ['shop', "machine-{$this->machine}"];
    }
}
