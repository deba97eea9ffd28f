<?php

declare(strict_types=1);

namespace App\Learning\Events;

use App\Support\RaisesAlert;
use Illuminate\Foundation\Events\Dispatchable;

/** A look was opened on a learner's device by a PIN, and whose PIN it was says that they were not there. */
final readonly class LookDisowned implements RaisesAlert
{
    use Dispatchable;

    public function __construct(public int $learnerId, public string $learner, public string $instructor, public string $lesson)
    {
    }

    public function kind(): string
    {
        return 'look_disowned';
    }

    public function facts(): array
    {
        return ['learner' => $this->learner, 'instructor' => $this->instructor, 'lesson' => $this->lesson];
    }

    public function channels(): array
    {
        return ['shop', "person-{$this->learnerId}"];
    }
}
