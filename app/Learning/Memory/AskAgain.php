<?php

declare(strict_types=1);

namespace App\Learning\Memory;

use App\People\User;
use App\Policy\Policy;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Lays out today's questions: those that are due, the most faded first, no more than the policy's number a day. Asked for
 * twice they are the same ones; what was left open yesterday comes first.
 */
final class AskAgain
{
    public function __construct(private readonly Remembering $remembering)
    {
    }

    /** @return Collection<int, Recall> those that wait for an answer */
    public function __invoke(User $learner): Collection
    {
        return DB::transaction(function () use ($learner): Collection {
            User::query()->whereKey($learner->id)->lockForUpdate()->firstOrFail();
            $policy = Policy::inForce();
            $now = CarbonImmutable::now();
            $open = Recall::query()->with('check')->where('learner_id', $learner->id)->whereNull('answered_at')
                ->orderBy('asked_at')->orderBy('id')->get();
            $yesterday = $policy->hours->endOfDay($now->subDay());
            $answered = Recall::query()->where('learner_id', $learner->id)->where('answered_at', '>', $yesterday)->count();
            $room = $policy->recallQuestionsADay - $answered - $open->count();
            $there = $open->map(static fn (Recall $recall): string => $recall->check->code.' '.$recall->question)->all();
            foreach ($this->remembering->of(new Collection([$learner]), $now)[$learner->id] as $one) {
                if ($room <= 0) {
                    break;
                }
                if (! $one->memory->due || in_array($one->check->code.' '.$one->question, $there, true)) {
                    continue;
                }
                $room--;
                $open->push(Recall::query()->create([
                    'id' => (string) Str::uuid7(),
                    'learner_id' => $learner->id,
                    'check_id' => $one->check->id,
                    'question' => $one->question,
                    'seed' => random_int(1, PHP_INT_MAX >> 32),
                    'asked_at' => $now,
                ])->setRelation('check', $one->check));
            }

            return $open;
        });
    }
}
