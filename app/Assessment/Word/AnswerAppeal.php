<?php

declare(strict_types=1);

namespace App\Assessment\Word;

use App\Assessment\SheetAttempt;
use App\Assessment\Who\WhoAssesses;
use App\People\User;
use App\Support\Refusal;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\AppealAnswer;
use MillStep\Core\Assessment\OwnWords;

/** Another assessor answers an appeal, in words. Whoever has marked, watched or concluded the sheet does not. */
final class AnswerAppeal
{
    public function __construct(private readonly Words $words, private readonly WhoAssesses $who)
    {
    }

    /**
     * @throws Refusal `not_concluded`, `cancelled`, `no_appeal`, `own_record`, `not_authorised`, `not_another`, `answered_already`,
     *     `why_answer`, `id_used`
     */
    public function __invoke(SheetAttempt $attempt, User $by, string $id, AppealAnswer $answer, string $text): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $by, $id, $answer, $text): SheetAttempt {
            $attempt = $this->words->ended($attempt);
            $attempt->marks()->said('appealed') ?? throw Refusal::because('no_appeal');
            $attempt->learner->is($by) && throw Refusal::forbidden('own_record', says: 'own_assessment');
            $this->who->mustBeAuthorised($by, $attempt);
            $attempt->hadAHandIn($by) && throw Refusal::forbidden('not_another');
            $given = ['answer' => $answer->value, 'text' => trim($text)];
            if ($this->words->isKnown($attempt, $id, 'appeal_answered', $by, $given)) {
                return $attempt;
            }
            $attempt->marks()->said('appeal_answered') === null || throw Refusal::because('answered_already');
            OwnWords::areReason($text) || throw Refusal::because('why_answer');
            $this->words->keep($attempt, $by, $id, 'appeal_answered', $given);
            $this->words->record($attempt, $by, 'appeal_answered', ['answer' => $answer->value], $text);

            return $attempt;
        });
    }
}
