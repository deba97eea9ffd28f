<?php

declare(strict_types=1);

namespace App\Gate\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

/** A badge opens nothing any more. */
final readonly class BadgeEnded implements HappensAfterCommit
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
