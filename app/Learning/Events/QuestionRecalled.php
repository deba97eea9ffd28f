<?php

declare(strict_types=1);

namespace App\Learning\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class QuestionRecalled implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public int $learnerId)
    {
    }

    public function channels(): array
    {
        return ["person-{$this->learnerId}"];
    }
}
