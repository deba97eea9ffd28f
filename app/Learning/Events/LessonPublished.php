<?php

declare(strict_types=1);

namespace App\Learning\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

/** A lesson has a version more, was retired, or is taught again: which versions of it count may have changed. */
final readonly class LessonPublished implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public string $lesson)
    {
    }

    public function channels(): array
    {
        return ['shop'];
    }
}
