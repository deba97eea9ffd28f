<?php

declare(strict_types=1);

namespace App\Gate\Events;

use App\Support\RaisesAlert;
use Illuminate\Foundation\Events\Dispatchable;

/** A token that was replaced is used again: somebody else has a copy of it. */
final readonly class TokenReused implements RaisesAlert
{
    use Dispatchable;

    public function __construct(public string $device, public string $machine)
    {
    }

    public function kind(): string
    {
        return 'token_reused';
    }

    public function facts(): array
    {
        return ['device' => $this->device, 'machine' => $this->machine];
    }

    public function channels(): array
    {
        return ['shop'];
    }
}
