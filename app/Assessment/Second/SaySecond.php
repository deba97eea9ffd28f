<?php

declare(strict_types=1);

namespace App\Assessment\Second;

use App\Assessment\Events\CriterionMarked;
use App\Assessment\SheetAttempt;
use App\Assessment\Who\WhoAssesses;
use App\Competency\RecordEntry;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** What the second instructor says in the end: agreed or not, and why. It is kept beside the outcome, which stays. Said twice, once. */
final class SaySecond
{
    public function __construct(private readonly WhoAssesses $who, private readonly RecordEntry $record)
    {
    }

    /** @throws Refusal `not_this_seat`, `why_disagree`, `second_is_done` where it was said otherwise before, `not_concluded` */
    public function __invoke(SheetAttempt $attempt, User $by, bool $agrees, ?string $says): SheetAttempt
    {
        return DB::transaction(function () use ($attempt, $by, $agrees, $says): SheetAttempt {
            $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
            $attempt->isSecond($by) || throw Refusal::forbidden('not_this_seat');
            $says = trim((string) $says) === '' ? null : trim((string) $says);
            if ($attempt->second_done_at !== null) {
                return [$attempt->second_agrees, $attempt->second_says] === [$agrees, $says] ? $attempt
                    : throw Refusal::because('second_is_done');
            }
            $attempt->concluded_at !== null || throw Refusal::because('not_concluded');
            $agrees || $says !== null || throw Refusal::because('why_disagree');
            $counts = $this->who->isAuthorised($by, $attempt->sheet->code);
            $attempt->update([
                'second_done_at' => CarbonImmutable::now(), 'second_agrees' => $agrees, 'second_says' => $says,
                // Whoever may not assess may watch and learn; the view that was drawn is another's.
                ...$counts ? ['second_viewed_at' => CarbonImmutable::now()] : [],
            ]);
            $counts && ($this->record)($attempt->learner, null, 'second_viewed', [
                ...$attempt->named(), 'agrees' => $agrees, 'how' => 'seat', 'words' => $says,
            ], $by);
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $attempt;
        });
    }
}
