<?php

declare(strict_types=1);

namespace App\Assessment\Events;

use App\Support\RaisesAlert;
use Illuminate\Foundation\Events\Dispatchable;

/** A sheet with marks on it was put away: a try that came to nothing. */
final readonly class TryPutAway implements RaisesAlert
{
    use Dispatchable;

    public function __construct(
        public string $attemptId,
        public int $learnerId,
        public string $learner,
        public string $instructor,
        public string $sheet,
        public int $marks,
    ) {
    }

    public function kind(): string
    {
        return 'sheet_put_away';
    }

    public function facts(): array
    {
        return ['learner' => $this->learner, 'instructor' => $this->instructor, 'sheet' => $this->sheet, 'marks' => $this->marks,
            'attempt' => $this->attemptId];
    }

    public function channels(): array
    {
        return ['shop', "person-{$this->learnerId}"];
    }
}
