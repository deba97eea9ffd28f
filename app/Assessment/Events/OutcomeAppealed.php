<?php

declare(strict_types=1);

namespace App\Assessment\Events;

use App\Support\RaisesAlert;
use Illuminate\Foundation\Events\Dispatchable;

/** A learner wants another assessor to look at an outcome. */
final readonly class OutcomeAppealed implements RaisesAlert
{
    use Dispatchable;

    public function __construct(public string $attemptId, public int $learnerId, public string $learner, public string $sheet)
    {
    }

    public function kind(): string
    {
        return 'outcome_appealed';
    }

    public function facts(): array
    {
        return ['learner' => $this->learner, 'sheet' => $this->sheet, 'attempt' => $this->attemptId];
    }

    public function channels(): array
    {
        return ['shop', "person-{$this->learnerId}"];
    }
}
