<?php

declare(strict_types=1);

namespace App\Assessment\Second;

use App\Assessment\Events\CriterionMarked;
use App\Assessment\SheetAttempt;
use App\Competency\RecordEntry;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** What an invited reviewer says, once: agreed or not, and why. It is kept beside the outcome, which stays. */
final class SayReview
{
    public function __construct(private readonly RecordEntry $record)
    {
    }

    /** @throws Refusal `why_disagree`, `answered_already` where it was said otherwise before */
    public function __invoke(Review $review, bool $agrees, string $says): Review
    {
        return DB::transaction(function () use ($review, $agrees, $says): Review {
            $attempt = SheetAttempt::query()->with(['sheet', 'learner'])->lockForUpdate()->findOrFail($review->attempt_id);
            $review = Review::query()->lockForUpdate()->findOrFail($review->id);
            $says = trim($says) === '' ? null : trim($says);
            if ($review->said_at !== null) {
                return [$review->agrees, $review->says] === [$agrees, $says] ? $review : throw Refusal::because('answered_already');
            }
            $agrees || $says !== null || throw Refusal::because('why_disagree');
            $now = CarbonImmutable::now();
            $review->update(['said_at' => $now, 'agrees' => $agrees, 'says' => $says]);
            $attempt->update(['second_viewed_at' => $attempt->second_viewed_at ?? $now]);
            ($this->record)($attempt->learner, null, 'second_viewed', [
                ...$attempt->named(), 'agrees' => $agrees, 'how' => 'link', 'words' => $says,
            ], User::query()->findOrFail($review->invited_by));
            CriterionMarked::dispatch($attempt->id, $attempt->learner_id);

            return $review;
        });
    }
}
