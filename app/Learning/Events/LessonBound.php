<?php

declare(strict_types=1);

namespace App\Learning\Events;

use Illuminate\Foundation\Events\Dispatchable;

/** What a lesson is about was chosen for a class. */
final readonly class LessonBound
{
    use Dispatchable;

    public function __construct(public string $lesson, public int $cohortId)
    {
    }
}
