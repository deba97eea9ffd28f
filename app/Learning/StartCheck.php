<?php

declare(strict_types=1);

namespace App\Learning;

use App\People\User;
use App\Policy\Policy;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Learning\Check\Retake;

/** Draws a paper. A retake gets other figures than the last one, and of the other questions as many new ones as there are. */
final class StartCheck
{
    private const TRIES = 20;

    /**
     * An attempt that was started and not handed in goes on; so does one whose id was sent before. However many ask at
     * once, there is one paper.
     *
     * @param  User|null  $onPaper  who gives it out on paper; one that the learner has open on a screen is given out then
     *
     * @throws Refusal `id_used` when the id is somebody else's or another check's; `check_wait` when the last try was just now,
     *                 or there were as many in a day as the policy allows
     */
    public function __invoke(User $learner, Check $check, string $id, ?User $onPaper = null): CheckAttempt
    {
        return DB::transaction(function () use ($learner, $check, $id, $onPaper): CheckAttempt {
            User::query()->whereKey($learner->id)->lockForUpdate()->firstOrFail();
            $known = CheckAttempt::query()->find($id);
            if ($known !== null && ($known->learner_id !== $learner->id || $known->check_id !== $check->id)) {
                throw Refusal::idUsed();
            }
            $open = $known ?? CheckAttempt::query()->where('learner_id', $learner->id)->where('check_id', $check->id)
                ->whereNull('submitted_at')->first();
            if ($open !== null) {
                $onPaper !== null && $open->submitted_at === null && $open->update(['paper_by' => $open->paper_by ?? $onPaper->id]);

                return $open->setRelation('check', $check);
            }
            $last = CheckAttempt::query()->where('learner_id', $learner->id)->where('check_id', $check->id)->latest('started_at')->first();
            self::checkPause($learner, $check);

            return CheckAttempt::query()->create([
                'id' => $id,
                'check_id' => $check->id,
                'learner_id' => $learner->id,
                'seed' => $this->seed($check, $last?->setRelation('check', $check)),
                'started_at' => CarbonImmutable::now(),
                'paper_by' => $onPaper?->id,
            ])->setRelation('check', $check);
        });
    }

    /** Between tries there is time to look at the lessons again. Versions of a check count together. */
    private static function checkPause(User $learner, Check $check): void
    {
        $policy = Policy::inForce();
        $now = CarbonImmutable::now();
        /** @var list<CarbonImmutable> $handedIn */
        $handedIn = CheckAttempt::query()
            ->where('learner_id', $learner->id)
            ->whereHas('check', static fn ($of) => $of->where('code', $check->code))
            ->where('submitted_at', '>', $now->subDays(8))
            ->orderBy('submitted_at')
            ->pluck('submitted_at')
            ->all();
        $again = (new Retake($policy->checkWaitMinutes, $policy->checkTriesADay))->waitsUntil($handedIn, $now);
        if ($again !== null) {
            $minutes = (int) ceil($now->diffInSeconds($again) / 60);
            throw $minutes > 90
                ? Refusal::because('check_wait', ['count' => (int) ceil($minutes / 60)], 'check_wait_hours')
                : Refusal::because('check_wait', ['count' => $minutes]);
        }
    }

    /**
     * Of so many seeds the one whose paper asks the least again of what was asked last time.
     *
     * @throws \LogicException when the bank always draws the same figures: publishing has seen to it that it does not
     */
    private function seed(Check $check, ?CheckAttempt $last): int
    {
        $before = $last?->paper();
        $bank = $check->bank();
        $best = null;
        $least = PHP_INT_MAX;
        for ($try = 0; $try < self::TRIES && $least > 0; $try++) {
            $seed = random_int(1, PHP_INT_MAX >> 32);
            $paper = $bank->draw($seed);
            $again = $before === null ? 0 : count(array_intersect($paper->changing(), $before->changing()));
            if ($again < $least && ($before === null || $before->figures() === [] || $paper->figures() !== $before->figures())) {
                [$best, $least] = [$seed, $again];
            }
        }

        return $best ?? throw new \LogicException("The bank of {$check->code} has no other figures to draw.");
    }
}
