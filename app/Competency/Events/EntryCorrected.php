<?php

declare(strict_types=1);

namespace App\Competency\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class EntryCorrected implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public int $learnerId, public ?int $permitId)
    {
    }

    public function channels(): array
    {
        return ['shop', "person-{$this->learnerId}"];
    }
}
