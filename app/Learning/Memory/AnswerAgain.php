<?php

declare(strict_types=1);

namespace App\Learning\Memory;

use App\Learning\Events\QuestionRecalled;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Learning\Check\PaperLine;

/** Marks one question that was asked again. Answered twice, the first answer stays. */
final class AnswerAgain
{
    /**
     * @param  list<string>  $answer
     * @param  'mm'|'in'|null  $units  in which a figure was typed; the learner's own where not said
     */
    public function __invoke(Recall $recall, array $answer, ?string $units = null): Recall
    {
        return DB::transaction(function () use ($recall, $answer, $units): Recall {
            $recall = Recall::query()->with(['check', 'learner'])->lockForUpdate()->findOrFail($recall->id);
            if ($recall->answered_at !== null) {
                return $recall;
            }
            $line = PaperLine::of($recall->drawn(), $answer, $units ?? $recall->learner->units);
            $recall->update([
                'answer' => $answer, 'line' => $line->toArray(), 'right' => $line->right, 'answered_at' => CarbonImmutable::now(),
            ]);
            QuestionRecalled::dispatch($recall->learner_id);

            return $recall;
        });
    }
}
