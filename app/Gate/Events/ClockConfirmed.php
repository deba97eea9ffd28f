<?php

declare(strict_types=1);

namespace App\Gate\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class ClockConfirmed implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public int $userId)
    {
    }

    public function channels(): array
    {
        return ['shop'];
    }
}
