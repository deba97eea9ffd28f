<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Events\SheetCancelled;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\Outcome;

/**
 * Puts away a sheet that was opened by mistake. It is kept with its marks; what stopped it cannot be put away, and what
 * is marked only with a reason. Cancelled twice, it is cancelled once.
 */
final class CancelSheet
{
    public function __construct(private readonly Scoring $scoring)
    {
    }

    /** @throws Refusal `concluded`, `stopped_stands`, `why_cancelled` */
    public function __invoke(SheetAttempt $attempt, User $by, ?string $reason): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $by, $reason): SheetAttempt {
            $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
            if ($attempt->cancelled_at !== null) {
                return $attempt;
            }
            if ($attempt->concluded_at !== null) {
                throw Refusal::because('concluded');
            }
            if ($this->scoring->score($attempt)->outcome === Outcome::Stopped) {
                throw Refusal::because('stopped_stands');
            }
            if (! $attempt->marks()->isEmpty() && mb_strlen(trim((string) $reason)) < 3) {
                throw Refusal::because('why_cancelled');
            }
            $attempt->update([
                'cancelled_at' => CarbonImmutable::now(), 'cancelled_by' => $by->id, 'cancelled_because' => $reason,
            ]);
            SheetCancelled::dispatch($attempt->id, $attempt->learner_id);

            return $attempt;
        });
    }
}
