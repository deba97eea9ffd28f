<?php

declare(strict_types=1);

namespace App\Assessment\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class SheetCancelled implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public string $attemptId, public int $learnerId)
    {
    }

    public function channels(): array
    {
        return ['shop', "person-{$this->learnerId}"];
    }
}
