<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Assessment\Events\CriterionMarked;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Keeps a note beside a criterion, or beside the sheet as a whole (`sheet`). It says something and counts for nothing. */
final class NoteOnSheet
{
    public const WHOLE = 'sheet';

    /** @throws Refusal `cancelled`, `no_criterion`, `id_used` */
    public function __invoke(
        SheetAttempt $attempt,
        User $by,
        string $id,
        string $criterion,
        string $text,
        CarbonImmutable $at,
    ): SheetAttempt {
        return DB::transaction(static function () use ($attempt, $by, $id, $criterion, $text, $at): SheetAttempt {
            $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
            $attempt->cancelled_at === null || $attempt->mustBeOpen();
            if ($criterion !== self::WHOLE && $attempt->criterion($criterion) === null) {
                throw Refusal::because('no_criterion', ['criterion' => $criterion]);
            }
            $note = Mark::query()->createOrFirst(['id' => $id], [
                'attempt_id' => $attempt->id, 'criterion' => $criterion,
                'seat' => $attempt->isSecond($by) ? Seat::Second : Seat::Assessor, 'kind' => 'note', 'value' => ['text' => $text],
                'by_id' => $by->id, 'made_at' => $at->min(CarbonImmutable::now()), 'recorded_at' => CarbonImmutable::now(),
            ]);
            if ([$note->attempt_id, $note->kind, $note->value['text'] ?? ''] !== [$attempt->id, 'note', $text]) {
                throw Refusal::idUsed();
            }
            $note->wasRecentlyCreated && $attempt->add($note, $by);
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $attempt;
        });
    }
}
