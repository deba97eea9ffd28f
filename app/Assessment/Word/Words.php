<?php

declare(strict_types=1);

namespace App\Assessment\Word;

use App\Assessment\Events\CriterionMarked;
use App\Assessment\Mark;
use App\Assessment\NoteOnSheet;
use App\Assessment\Seat;
use App\Assessment\SheetAttempt;
use App\Competency\RecordEntry;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;

/**
 * What is said of an outcome, kept as lines of its sheet and in the ledger. Each line is written once; sent again it is the same line.
 *
 * @phpstan-import-type Value from Mark
 */
final class Words
{
    public function __construct(private readonly RecordEntry $record)
    {
    }

    /** @throws Refusal `not_concluded`, `cancelled` */
    public function ended(SheetAttempt $attempt): SheetAttempt
    {
        $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
        $attempt->cancelled_at === null || throw Refusal::because('cancelled');
        $attempt->concluded_at !== null || throw Refusal::because('not_concluded');

        return $attempt;
    }

    /**
     * @param  Value  $value
     *
     * @throws Refusal `id_used` where the id stands for something else
     */
    public function isKnown(SheetAttempt $attempt, string $id, string $kind, User $by, array $value): bool
    {
        $known = $attempt->lines->firstWhere('id', $id);
        if ($known === null) {
            return false;
        }

        // JSON keeps no order of keys.
        $said = $known->value;
        ksort($said);
        ksort($value);

        return [$known->kind, $known->by_id, $said] === [$kind, $by->id, $value] ? true : throw Refusal::idUsed();
    }

    /**
     * @param  'answered'|'appealed'|'appeal_answered'  $kind
     * @param  Value  $value
     *
     * @throws Refusal `id_used`
     */
    public function keep(SheetAttempt $attempt, User $by, string $id, string $kind, array $value): void
    {
        $now = CarbonImmutable::now();
        $attempt->add(Mark::add([
            'id' => $id, 'attempt_id' => $attempt->id, 'criterion' => NoteOnSheet::WHOLE,
            'seat' => $kind === 'appeal_answered' ? Seat::Assessor : Seat::Learner, 'kind' => $kind, 'value' => $value,
            'by_id' => $by->id, 'made_at' => $now, 'recorded_at' => $now,
        ]), $by);
        CriterionMarked::dispatch($attempt->id, $attempt->learner_id);
    }

    /** @param  array<string, mixed>  $more */
    public function record(SheetAttempt $attempt, User $by, string $type, array $more, string $text): void
    {
        ($this->record)($attempt->learner, null, $type, [
            ...$attempt->named(), ...$more, 'words' => trim($text) === '' ? null : trim($text),
        ], $by);
    }
}
