<?php

declare(strict_types=1);

namespace App\Learning;

use App\Competency\RecordEntry;
use App\Learning\Events\CheckHandedIn;
use App\People\User;
use App\Support\Refusal;
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
     * @param  User|null  $typist  who typed in what stands on paper
     *
     * @throws Refusal `check_on_paper` for its learner, `check_on_screen` for anybody else
     */
    public function __invoke(
        CheckAttempt $attempt,
        array $answers,
        ?string $units = null,
        ?CarbonImmutable $at = null,
        ?User $typist = null,
    ): CheckAttempt {
        return DB::transaction(function () use ($attempt, $answers, $units, $at, $typist): CheckAttempt {
            $attempt = CheckAttempt::query()->with(['check', 'learner'])->lockForUpdate()->findOrFail($attempt->id);
            if ($attempt->submitted_at !== null) {
                return $attempt;
            }
            // Given out on paper while it was open on a screen: what stands on the paper counts.
            if (($attempt->paper_by === null) !== ($typist === null)) {
                throw Refusal::because($typist === null ? 'check_on_paper' : 'check_on_screen', ['name' => $attempt->learner->name]);
            }
            $at ??= CarbonImmutable::now();
            $late = $attempt->endsAt()?->addSeconds(self::GRACE_SECONDS)->lessThan($at) ?? false;
            $result = $attempt->paper()->mark($answers, $units ?? $attempt->learner->units, $late);
            $attempt->update([
                'answers' => $answers, 'result' => $result->toArray(), 'submitted_at' => $at, 'typed_by' => $typist?->id,
            ]);
            ($this->record)($attempt->learner, null, 'check_attempted', [
                'check' => $attempt->check->code,
                'version' => $attempt->check->version,
                'attempt' => $attempt->id,
                'passed' => $result->passed,
                'score_percent' => $result->scorePercent,
                ...$typist === null ? [] : ['on_paper' => true],
            ], $typist ?? $attempt->learner, $at);
            CheckHandedIn::dispatch($attempt->learner_id);

            return $attempt;
        });
    }
}
