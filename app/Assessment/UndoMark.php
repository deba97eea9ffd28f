<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Events\CriterionMarked;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\Slip;

/** Takes a slip of the finger back, within ten seconds. The line stays; another says that it was undone. Twice is once. */
final class UndoMark
{
    public function __construct(private readonly MarkCriterion $mark)
    {
    }

    /** @throws Refusal `concluded`, `cancelled`, `no_mark`, `too_late`, `id_used` */
    public function __invoke(SheetAttempt $attempt, string $markId, User $by, string $id, CarbonImmutable $at): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $markId, $by, $id, $at): SheetAttempt {
            $attempt = SheetAttempt::toMark($attempt, $by);
            // A tablet whose clock is fast has taken it back now.
            $at = $attempt->instant($at);
            $mark = $attempt->lines->firstWhere('id', $markId) ?? throw Refusal::because('no_mark');
            $undone = $attempt->lines->first(
                static fn (Mark $line): bool => $line->kind === 'undone' && ($line->value['mark'] ?? '') === $markId,
            );
            if ($undone !== null) {
                return $attempt;
            }
            $mark->seat === Seat::Second || $attempt->mustBeOpen();
            if ($mark->by_id !== $by->id || ! Slip::between($mark->instants(), ['made' => $at, 'recorded' => CarbonImmutable::now()])) {
                throw Refusal::because('too_late');
            }
            $line = Mark::add([
                'id' => $id, 'attempt_id' => $attempt->id, 'criterion' => $mark->criterion, 'seat' => $mark->seat, 'kind' => 'undone',
                'value' => ['mark' => $markId], 'by_id' => $by->id,
                'made_at' => $at, 'recorded_at' => CarbonImmutable::now(),
            ]);
            $attempt->add($line, $by);
            $this->mark->record($attempt, 'mark_undone', $by, ['criterion' => $mark->criterion]);
            $this->mark->stopOrGoOn($attempt, $by, undone: true);
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $attempt;
        });
    }
}
