<?php

declare(strict_types=1);

namespace App\Assessment\Second;

use App\Assessment\Events\CriterionMarked;
use App\Assessment\Mark;
use App\Assessment\Seat;
use App\Assessment\SheetAttempt;
use App\People\User;
use App\Support\Refusal;
use Illuminate\Support\Facades\DB;

/** A second instructor watches an assessment and marks what they see, unseen by the first, so that the two can be compared. */
final class TakeSecondSeat
{
    /** @throws Refusal `cancelled`, `own_record`, `not_this_seat` for whoever has marked the sheet, `seat_taken` */
    public function __invoke(SheetAttempt $attempt, User $by): SheetAttempt
    {
        return DB::transaction(static function () use ($attempt, $by): SheetAttempt {
            $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
            $attempt->cancelled_at === null || $attempt->mustBeOpen();
            if ($attempt->isSecond($by)) {
                return $attempt;
            }
            $attempt->second_id === null || throw Refusal::because('seat_taken', ['who' => $attempt->second->name ?? '']);
            $attempt->learner->is($by) && throw Refusal::forbidden('own_record', says: 'own_assessment');
            $hasMarked = $attempt->lines->contains(
                static fn (Mark $mark): bool => $mark->by_id === $by->id && $mark->seat === Seat::Assessor,
            );
            if ($hasMarked || $attempt->assessor_id === $by->id) {
                throw Refusal::because('first_is_no_second');
            }
            $attempt->update(['second_id' => $by->id]);
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $attempt->load('second');
        });
    }
}
