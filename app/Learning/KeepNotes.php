<?php

declare(strict_types=1);

namespace App\Learning;

use App\Support\Refusal;
use Illuminate\Support\Facades\DB;

/** Keeps what a learner notes beside a lesson. Sent twice, it is kept once; what another device wrote is not written over. */
final class KeepNotes
{
    /**
     * @param  string  $was  what stood there when the learner began to write
     *
     * @throws Refusal `notes_changed`
     */
    public function __invoke(Progress $progress, string $notes, string $was): Progress
    {
        return DB::transaction(static function () use ($progress, $notes, $was): Progress {
            $progress = Progress::query()->lockForUpdate()->findOrFail($progress->id);
            if ($progress->notes === $notes) {
                return $progress;
            }
            if ($progress->notes !== $was) {
                throw Refusal::because('notes_changed');
            }
            $progress->update(['notes' => $notes]);

            return $progress;
        });
    }
}
