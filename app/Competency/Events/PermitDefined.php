<?php

declare(strict_types=1);

namespace App\Competency\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class PermitDefined implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public int $permitId)
    {
    }

    public function channels(): array
    {
        return ['shop'];
    }
}
