<?php

declare(strict_types=1);

namespace App\Learning;

use App\People\Cohort;
use App\People\User;
use App\Support\Given;
use App\Workshop\Machine;
use App\Workshop\Part;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Arr;
use MillStep\Core\Learning\Bound\PersonalSize;

/**
 * What a lesson is about for one class: its part, its machine and the cribs, and where wanted a size of everybody's own.
 *
 * @phpstan-type SizeRange array{key: string, from_mm: float, to_mm: float, step_mm: float}
 *
 * @property int $id
 * @property string $lesson  its code: every version of it
 * @property int $cohort_id
 * @property int|null $part_id
 * @property int|null $machine_id
 * @property list<string> $cribs  slugs; those beside the machine where empty
 * @property list<SizeRange> $sizes
 * @property int $seed  from which the sizes are drawn
 * @property CarbonImmutable $bound_at
 * @property Part|null $part
 * @property Machine|null $machine
 * @property Cohort $cohort
 */
final class Binding extends Model
{
    public $timestamps = false;

    protected $table = 'learning_bindings';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['cribs' => 'array', 'sizes' => 'array', 'bound_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Cohort, $this> */
    public function cohort(): BelongsTo
    {
        return $this->belongsTo(Cohort::class);
    }

    /** Of somebody in several classes: the one that was bound last. */
    public static function for(Lesson $lesson, User $learner): ?self
    {
        return self::query()->with(['part', 'machine.cribs.tools'])->where('lesson', $lesson->code)
            ->whereIn('cohort_id', $learner->cohorts()->select('people_cohorts.id'))
            ->latest('bound_at')->latest('id')->first();
    }

    /**
     * What is planned, with this learner's own sizes in it: the same each time, since they are drawn from the kept seed.
     *
     * @param  array<string, mixed>  $wanted
     * @return array<string, mixed>
     */
    public function sized(array $wanted, User $learner): array
    {
        foreach ($this->sizes as $size) {
            Arr::set($wanted, $size['key'], PersonalSize::of($size['from_mm'], $size['to_mm'], $size['step_mm'])
                ->drawn($this->seed, $learner->id, $size['key'])->inMm());
        }

        return Given::fields($wanted);
    }
}
