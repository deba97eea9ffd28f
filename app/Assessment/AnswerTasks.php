<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Events\CriterionMarked;
use App\Support\Refusal;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\Task;
use MillStep\Core\Border\Fields;

/** Keeps what the learner worked out, as typed. It is told whether it is a figure; whether it is right is said in the end. */
final class AnswerTasks
{
    /**
     * @param  'mm'|'in'  $units
     *
     * @throws Refusal `concluded`, `cancelled`, `no_task`
     * @throws \MillStep\Core\Border\CoreException when it is no figure
     */
    public function __invoke(SheetAttempt $attempt, string $task, string $typed, string $units): SheetAttempt
    {
        return DB::transaction(static function () use ($attempt, $task, $typed, $units): SheetAttempt {
            $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
            $attempt->mustBeOpen();
            $index = array_search($task, array_column($attempt->sheet->tasks, 'id'), true);
            $index !== false || throw Refusal::because('no_task');
            $core = Task::fromFields(Fields::of($attempt->sheet->tasks[$index]));
            $typed = trim($typed);
            if ($typed !== '') {
                // A length carries the unit in which it was typed, so that it is judged as it was meant.
                $typed = $core->unit === 'mm' && preg_match('/^[\d.,\s]+$/', $typed) === 1 ? "$typed $units" : $typed;
                $core->isRight($typed, $attempt->personal(), $units);
            }
            $attempt->update(['answers' => array_filter(
                [...$attempt->answers, $task => $typed],
                static fn (string $one): bool => $one !== '',
            )]);
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $attempt;
        });
    }
}
