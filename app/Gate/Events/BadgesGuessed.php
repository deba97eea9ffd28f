<?php

declare(strict_types=1);

namespace App\Gate\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class BadgesGuessed implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public string $device, public string $machine, public int $unknown)
    {
    }

    public function channels(): array
    {
        return ['shop', "machine-{$this->machine}"];
    }
}
