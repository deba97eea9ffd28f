<?php

declare(strict_types=1);

namespace App\Gate\Events;

use App\Support\RaisesAlert;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class BadgesGuessed implements RaisesAlert
{
    use Dispatchable;

    public function __construct(public string $device, public string $machine, public int $unknown)
    {
    }

    public function kind(): string
    {
        return 'badges_guessed';
    }

    public function facts(): array
    {
        return ['device' => $this->device, 'machine' => $this->machine, 'unknown' => $this->unknown];
    }

    public function channels(): array
    {
        return ['shop', "machine-{$this->machine}"];
    }
}
