<?php

declare(strict_types=1);

namespace App\Learning;

use App\Learning\Events\LookDisowned;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * "That was not me": a look that was opened on a learner's device by one's PIN. Where the lesson still goes on, the step waits for a look
 * again; what is in the ledger already is corrected by whoever may. The lead is told, and the PIN is to be changed.
 */
final class DisownLook
{
    /** @throws Refusal `not_your_look` for a look that was not opened so, or by another's PIN */
    public function __invoke(HoldPoint $hold, User $by): void
    {
        DB::transaction(static function () use ($hold, $by): void {
            $hold = HoldPoint::query()->with(['progress.lesson', 'progress.learner'])->lockForUpdate()->findOrFail($hold->id);
            if (! $hold->opened_here || $hold->opened_by !== $by->id) {
                throw Refusal::forbidden('not_your_look');
            }
            if ($hold->disowned_at !== null) {
                return;
            }
            $now = CarbonImmutable::now();
            $progress = $hold->progress;
            $goesOn = $progress->completed_at === null;
            $hold->update(['disowned_at' => $now, ...($goesOn ? ['opened_at' => null, 'sent_back_at' => null] : [])]);
            if ($goesOn) {
                $progress->update(['answers' => array_diff_key($progress->answers, [$hold->step => 0])]);
            }
            LookDisowned::dispatch($progress->learner_id, $progress->learner->name, $by->name, $progress->lesson->code);
        });
    }
}
