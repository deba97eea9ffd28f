<?php

declare(strict_types=1);

namespace App\Assessment\Conduct;

use App\Assessment\Events\CriterionMarked;
use App\Assessment\Mark;
use App\Assessment\NoteOnSheet;
use App\Assessment\Seat;
use App\Assessment\SheetAttempt;
use App\Assessment\Who\WhoAssesses;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\Moment;
use MillStep\Core\Border\Message;

/** One tap while a sheet is done: started, power on, first cut, a pause, ended. Said in their order, by whoever may assess it. */
final class SayMoment
{
    public function __construct(private readonly WhoAssesses $who)
    {
    }

    /** @throws Refusal `concluded`, `cancelled`, `not_authorised`, `not_now`, `id_used` */
    public function __invoke(SheetAttempt $attempt, User $by, string $id, Moment $moment, CarbonImmutable $said): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $by, $id, $moment, $said): SheetAttempt {
            $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
            $known = $attempt->lines->firstWhere('id', $id);
            if ($known !== null) {
                return [$known->kind, $known->value['moment'] ?? null, $known->by_id] === ['conduct', $moment->value, $by->id]
                    ? $attempt : throw Refusal::idUsed();
            }
            $attempt->mustBeOpen();
            $this->who->mustBeAuthorised($by, $attempt);
            if (! in_array($moment, $attempt->marks()->conduct()->next(), true)) {
                throw Refusal::because('not_now', ['moment' => Message::of("sheet.moment.{$moment->value}")]);
            }
            $at = $attempt->instant($said);
            $attempt->add(Mark::add([
                'id' => $id, 'attempt_id' => $attempt->id, 'criterion' => NoteOnSheet::WHOLE, 'seat' => Seat::Assessor,
                'kind' => 'conduct', 'value' => ['moment' => $moment->value], 'by_id' => $by->id, 'made_at' => $at,
                'said_at' => $said->equalTo($at) ? null : $said, 'recorded_at' => CarbonImmutable::now(),
            ]), $by);
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $attempt;
        });
    }
}
