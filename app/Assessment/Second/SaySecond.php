<?php

declare(strict_types=1);

namespace App\Assessment\Second;

use App\Assessment\Events\CriterionMarked;
use App\Assessment\SheetAttempt;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** What the second instructor says in the end: agreed or not, and why. It is kept beside the outcome, which stays. Said twice, once. */
final class SaySecond
{
    /** @throws Refusal `not_this_seat`, `why_disagree`, `second_is_done` where it was said otherwise before, `not_concluded` */
    public function __invoke(SheetAttempt $attempt, User $by, bool $agrees, ?string $says): SheetAttempt
    {
        return DB::transaction(static function () use ($attempt, $by, $agrees, $says): SheetAttempt {
            $attempt = SheetAttempt::withSheet()->lockForUpdate()->findOrFail($attempt->id);
            $attempt->isSecond($by) || throw Refusal::forbidden('not_this_seat');
            $says = trim((string) $says) === '' ? null : trim((string) $says);
            if ($attempt->second_done_at !== null) {
                return [$attempt->second_agrees, $attempt->second_says] === [$agrees, $says] ? $attempt
                    : throw Refusal::because('second_is_done');
            }
            $attempt->concluded_at !== null || throw Refusal::because('not_concluded');
            $agrees || $says !== null || throw Refusal::because('why_disagree');
            $attempt->update(['second_done_at' => CarbonImmutable::now(), 'second_agrees' => $agrees, 'second_says' => $says]);
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $attempt;
        });
    }
}
