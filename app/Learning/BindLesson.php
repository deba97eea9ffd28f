<?php

declare(strict_types=1);

namespace App\Learning;

use App\Learning\Events\LessonBound;
use App\People\Cohort;
use App\People\User;
use App\Support\Given;
use App\Support\Refusal;
use App\Workshop\Crib;
use App\Workshop\Machine;
use App\Workshop\Part;
use App\Workshop\ShopAtHand;
use Carbon\CarbonImmutable;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Learning\Bound\BoundCase;
use MillStep\Core\Learning\Bound\PersonalSize;

/**
 * Says what a lesson is about for one class. It is planned first, at both ends of every range: what cannot be made is
 * refused with what is missing.
 *
 * @phpstan-import-type SizeRange from Binding
 *
 * @phpstan-type Wanted array{part?: string|null, machine?: string|null, cribs?: list<string>, sizes?: list<SizeRange>}
 */
final class BindLesson
{
    public function __construct(private readonly ShopAtHand $shop, private readonly LessonCases $cases)
    {
    }

    /**
     * @param  Wanted  $wanted  slugs; null leaves what the lesson was written for
     *
     * @throws Refusal `not_bound` for a lesson that has no figures of a machine
     * @throws CoreException when crib or machine cannot make it, or a range holds no size
     */
    public function __invoke(Lesson $lesson, Cohort $cohort, array $wanted, User $by): Binding
    {
        if (! $lesson->isBound() || $lesson->part === null) {
            throw Refusal::because('not_bound');
        }
        $part = isset($wanted['part']) ? Part::query()->where('slug', $wanted['part'])->firstOrFail() : null;
        $machine = isset($wanted['machine']) ? Machine::query()->where('slug', $wanted['machine'])->firstOrFail() : null;
        $cribs = Given::texts(Crib::query()->whereIn('slug', $wanted['cribs'] ?? [])->pluck('slug')->all());
        $sizes = $wanted['sizes'] ?? [];
        $this->assertCanBeMade($lesson, $part ?? $lesson->part, $machine ?? $lesson->machine, $cribs, $sizes);

        return DB::transaction(static function () use ($lesson, $cohort, $part, $machine, $cribs, $sizes, $by): Binding {
            $binding = Binding::query()->where('lesson', $lesson->code)->where('cohort_id', $cohort->id)->lockForUpdate()->first()
                ?? new Binding(['lesson' => $lesson->code, 'cohort_id' => $cohort->id, 'seed' => random_int(1, 999_999)]);
            $binding->fill([
                'part_id' => $part?->id, 'machine_id' => $machine?->id, 'cribs' => $cribs, 'sizes' => $sizes,
                'bound_by' => $by->id, 'bound_at' => CarbonImmutable::now(),
            ])->save();
            LessonBound::dispatch($lesson->code, $cohort->id);

            return $binding->load(['part', 'machine', 'cohort']);
        });
    }

    /**
     * @param  list<string>  $cribs
     * @param  list<SizeRange>  $sizes
     *
     * @throws CoreException
     */
    private function assertCanBeMade(Lesson $lesson, Part $part, ?Machine $machine, array $cribs, array $sizes): void
    {
        if ($machine === null) {
            throw Impossible::because('machine', 'learning.no_machine', ['kind' => (string) $lesson->machine_kind]);
        }
        $bench = $this->cases->bench($machine, $this->shop->cribsFor($machine, $cribs), $part);
        $ends = [$lesson->wanted($part)];
        foreach ($sizes as $size) {
            PersonalSize::of($size['from_mm'], $size['to_mm'], $size['step_mm']);
            // Every range at both its ends, with each end of the others.
            $ends = array_merge(...array_map(static fn (array $wanted): array => array_map(
                static function (float $end) use ($wanted, $size): array {
                    Arr::set($wanted, $size['key'], $end);

                    return $wanted;
                },
                [$size['from_mm'], $size['to_mm']],
            ), $ends));
        }
        foreach ($ends as $wanted) {
            BoundCase::of($bench, Fields::of($wanted));
        }
    }
}
