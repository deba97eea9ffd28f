<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Events\SheetCancelled;
use App\Assessment\Events\TryPutAway;
use App\Assessment\Who\WhoAssesses;
use App\Competency\RecordEntry;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\Outcome;
use MillStep\Core\Assessment\OwnWords;
use MillStep\Core\Assessment\PutAwayBecause;

/**
 * Puts a sheet away before it comes to anything. It is kept with its marks, and the ledger says so; with any mark it was a try, and
 * whoever leads the shop is told. What stopped it cannot be put away. Put away twice, it is put away once.
 */
final class PutSheetAway
{
    public function __construct(private readonly Scoring $scoring, private readonly RecordEntry $record, private readonly WhoAssesses $who)
    {
    }

    /** @throws Refusal `concluded`, `stopped_stands`, `own_record`, `not_this_seat`, `not_authorised`, `why_cancelled` */
    public function __invoke(SheetAttempt $attempt, User $by, PutAwayBecause $because, string $words): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $by, $because, $words): SheetAttempt {
            $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
            if ($attempt->cancelled_at !== null) {
                return $attempt;
            }
            if ($attempt->concluded_at !== null) {
                throw Refusal::because('concluded');
            }
            if ($attempt->learner->is($by)) {
                throw Refusal::forbidden('own_record', says: 'own_assessment');
            }
            if ($attempt->isSecond($by)) {
                throw Refusal::forbidden('not_this_seat');
            }
            $this->who->mustBeAuthorised($by, $attempt);
            if ($this->scoring->score($attempt)->outcome === Outcome::Stopped) {
                throw Refusal::because('stopped_stands');
            }
            $marks = $attempt->marks()->made();
            if (! $because->isSaid($words, $marks)) {
                throw Refusal::because('why_cancelled', ['letters' => OwnWords::ACCOUNT]);
            }
            $words = trim($words) === '' ? null : trim($words);
            $attempt->update([
                'cancelled_at' => CarbonImmutable::now(), 'cancelled_by' => $by->id, 'cancelled_because' => $words,
                'put_away_because' => $because, 'put_away_marks' => $marks,
            ]);
            ($this->record)($attempt->learner, null, 'sheet_put_away', [
                ...$attempt->named(), 'because' => $because->value, 'marks' => $marks, 'words' => $words,
            ], $by);
            SheetCancelled::dispatch($attempt->id, $attempt->learner_id);
            $marks > 0 && TryPutAway::dispatch(
                $attempt->id, $attempt->learner_id, $attempt->learner->name, $by->name, $attempt->sheet->title, $marks,
            );

            return $attempt;
        });
    }
}
