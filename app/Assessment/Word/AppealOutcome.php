<?php

declare(strict_types=1);

namespace App\Assessment\Word;

use App\Assessment\Events\OutcomeAppealed;
use App\Assessment\SheetAttempt;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\Appeal;
use MillStep\Core\Assessment\OwnWords;

/** A learner wants another assessor to look at an outcome. Once for a sheet, within the days that the core gives. */
final class AppealOutcome
{
    public function __construct(private readonly Words $words)
    {
    }

    /** @throws Refusal `not_concluded`, `cancelled`, `not_this_seat`, `appealed_already`, `too_late_to_appeal`, `why_appeal`, `id_used` */
    public function __invoke(SheetAttempt $attempt, User $by, string $id, string $text): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $by, $id, $text): SheetAttempt {
            $attempt = $this->words->ended($attempt);
            $attempt->learner->is($by) || ! $attempt->isSecond($by) || throw Refusal::forbidden('not_this_seat');
            if ($this->words->isKnown($attempt, $id, 'appealed', $by, ['text' => trim($text)])) {
                return $attempt;
            }
            $attempt->marks()->said('appealed') === null || throw Refusal::because('appealed_already');
            Appeal::isInTime($attempt->concluded_at ?? CarbonImmutable::now(), CarbonImmutable::now())
                || throw Refusal::because('too_late_to_appeal', ['days' => Appeal::DAYS]);
            OwnWords::areReason($text) || throw Refusal::because('why_appeal');
            $this->words->keep($attempt, $by, $id, 'appealed', ['text' => trim($text)]);
            $this->words->record($attempt, $by, 'outcome_appealed', [], $text);
            OutcomeAppealed::dispatch($attempt->id, $attempt->learner_id, $attempt->learner->name, $attempt->sheet->title);

            return $attempt;
        });
    }
}
