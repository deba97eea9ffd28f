<?php

declare(strict_types=1);

namespace App\Gate\Events;

use App\Support\EndsRights;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class DeviceRevoked implements EndsRights
{
    use Dispatchable;

    public function __construct(public int $deviceId, public string $machine)
    {
    }

    public function channels(): array
    {
        return ['shop', "machine-{$this->machine}"];
    }
}
