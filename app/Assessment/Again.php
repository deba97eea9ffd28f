<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\People\User;
use App\Policy\Policy;
use Carbon\CarbonImmutable;
use MillStep\Core\Assessment\Outcome;
use MillStep\Core\Assessment\Retake;

/** Whether a learner may try a sheet again that they did not pass: after the policy's wait, and after practice. */
final class Again
{
    /** @return array{until: CarbonImmutable|null, exercises: int} when the wait is over, and how many exercises are missing */
    public function of(User $learner, string $sheet): array
    {
        $last = SheetAttempt::query()->where('learner_id', $learner->id)->whereNotNull('concluded_at')
            ->whereRelation('sheet', 'code', $sheet)->orderByDesc('concluded_at')->first();
        if ($last?->concluded_at === null) {
            return ['until' => null, 'exercises' => 0];
        }
        $policy = Policy::inForce();
        $retake = new Retake($policy->sheetWaitHours, $policy->sheetExercises);
        $outcome = Outcome::tryFrom((string) $last->outcome);
        $until = $retake->waitsUntil($outcome, $last->concluded_at, CarbonImmutable::now());
        $permits = Permit::query()->whereJsonContains('requirement->assessments', $sheet)->pluck('id')->all();
        $since = LedgerEntry::query()->where('learner_id', $learner->id)->where('type', 'practice_confirmed')
            ->whereIn('permit_id', $permits)->where('happened_at', '>', $last->concluded_at)->count();

        return [
            'until' => $until === null ? null : CarbonImmutable::instance($until),
            'exercises' => $retake->exercisesMissing($outcome, $since),
        ];
    }
}
