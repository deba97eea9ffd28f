<?php

declare(strict_types=1);

namespace App\Competency\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

/** Somebody knows one more machine. */
final readonly class MachineShown implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public int $learnerId)
    {
    }

    public function channels(): array
    {
        return ['shop', "person-{$this->learnerId}"];
    }
}
