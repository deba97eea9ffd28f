<?php

declare(strict_types=1);

namespace App\Gate\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class SessionEnded implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public string $sessionId, public string $machine, public int $userId)
    {
    }

    public function channels(): array
    {
        return ['shop', "machine-{$this->machine}", "person-{$this->userId}"];
    }
}
