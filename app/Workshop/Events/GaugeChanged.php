<?php

declare(strict_types=1);

namespace App\Workshop\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class GaugeChanged implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public string $slug)
    {
    }

    public function channels(): array
    {
        return ['shop'];
    }
}
