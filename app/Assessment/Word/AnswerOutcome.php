<?php

declare(strict_types=1);

namespace App\Assessment\Word;

use App\Assessment\SheetAttempt;
use App\People\User;
use App\Support\Refusal;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\OwnWords;

/**
 * What the learner says to an outcome: agrees, or not and why. Said at the assessor's tablet it is on record as written down by them, and
 * the learner's own word, from their own page, comes after it and speaks. No outcome changes by it.
 */
final class AnswerOutcome
{
    public function __construct(private readonly Words $words)
    {
    }

    /** @throws Refusal `not_concluded`, `cancelled`, `not_this_seat`, `why_disagree`, `answered_already`, `id_used` */
    public function __invoke(SheetAttempt $attempt, User $by, string $id, bool $agrees, string $text): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $by, $id, $agrees, $text): SheetAttempt {
            $attempt = $this->words->ended($attempt);
            $own = $attempt->learner->is($by);
            $own || $attempt->assessor_id === $by->id || throw Refusal::forbidden('not_this_seat');
            $given = array_filter(['agrees' => $agrees, 'text' => trim($text)], static fn (bool|string $one): bool => $one !== '');
            if ($this->words->isKnown($attempt, $id, 'answered', $by, $given)) {
                return $attempt;
            }
            $agrees || OwnWords::areReason($text) || throw Refusal::because('why_disagree');
            $before = $attempt->marks()->said('answered');
            // The learner's own word is the last.
            if ($before !== null && (! $own || $before->by_id === $attempt->learner_id)) {
                throw Refusal::because('answered_already');
            }
            $this->words->keep($attempt, $by, $id, 'answered', $given);
            $this->words->record($attempt, $by, 'outcome_answered', ['agrees' => $agrees], $text);

            return $attempt;
        });
    }
}
