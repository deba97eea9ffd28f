<?php

declare(strict_types=1);

namespace App\Competency\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class LedgerBroken implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public string $what)
    {
    }

    public function channels(): array
    {
        return ['shop'];
    }
}
