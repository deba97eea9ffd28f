<?php

declare(strict_types=1);

namespace App\Learning;

use App\Competency\RecordEntry;
use App\Learning\Events\CheckHandedIn;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Marks a paper and writes the attempt into the ledger. Handing in twice changes nothing. */
final class HandInCheck
{
    /** A paper is sent by itself when its time is over; a slow network is given so long. */
    private const GRACE_SECONDS = 60;

    public function __construct(private readonly RecordEntry $record)
    {
    }

    /**
     * @param  array<string, list<string>>  $answers  by question
     * @param  'mm'|'in'|null  $units  in which the figures were typed; the learner's own where not said
     */
    public function __invoke(CheckAttempt $attempt, array $answers, ?string $units = null, ?CarbonImmutable $at = null): CheckAttempt
    {
        return DB::transaction(function () use ($attempt, $answers, $units, $at): CheckAttempt {
            $attempt = CheckAttempt::query()->with(['check', 'learner'])->lockForUpdate()->findOrFail($attempt->id);
            if ($attempt->submitted_at !== null) {
                return $attempt;
            }
            $at ??= CarbonImmutable::now();
            $late = $attempt->endsAt()?->addSeconds(self::GRACE_SECONDS)->lessThan($at) ?? false;
            $result = $attempt->paper()->mark($answers, $units ?? $attempt->learner->units, $late);
            $attempt->update(['answers' => $answers, 'result' => $result->toArray(), 'submitted_at' => $at]);
            ($this->record)($attempt->learner, null, 'check_attempted', [
                'check' => $attempt->check->code,
                'version' => $attempt->check->version,
                'attempt' => $attempt->id,
                'passed' => $result->passed,
                'score_percent' => $result->scorePercent,
            ], $attempt->learner, $at);
            CheckHandedIn::dispatch($attempt->learner_id);

            return $attempt;
        });
    }
}
