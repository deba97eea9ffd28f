<?php

declare(strict_types=1);

namespace App\Learning;

use App\People\User;
use App\Support\Given;
use App\Workshop\Machine;
use App\Workshop\Part;
use App\Workshop\ShopAtHand;
use Illuminate\Support\Arr;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Learning\Bound\BoundCase;
use MillStep\Core\Learning\Bound\CaseFigures;
use MillStep\Core\Learning\LessonFigures;
use MillStep\Core\Learning\PartFigures;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Plan\Bench;

/** Gathers a lesson's machine, crib, part and policy, as they were bound for this learner, and has the core plan its case. */
final class LessonCases
{
    /** @var array<string, BoundCase|null> by lesson and learner: what a reading is judged by is planned once for an answer */
    private array $cases = [];

    /** @var array<string, Binding|null> by lesson and learner */
    private array $bindings = [];

    public function __construct(private readonly ShopAtHand $shop)
    {
    }

    /**
     * @return array<string, Figure> by key; empty for a lesson that is bound to nothing
     *
     * @throws CoreException when crib or machine cannot make it
     */
    public function for(Lesson $lesson, ?Progress $progress): array
    {
        return $this->figures($lesson, $this->case($lesson, $progress?->learner), $progress);
    }

    /** @return array<string, Figure> by key: of its part, and of its case on its machine */
    public function figures(Lesson $lesson, ?BoundCase $case, ?Progress $progress): array
    {
        $touch = $progress?->reading('scale_touch');
        $part = $this->part($lesson, $progress?->learner);

        return [
            ...($part === null ? [] : PartFigures::of($part->shape($lesson->hole))),
            ...($case === null ? [] : CaseFigures::of($case)),
            ...($case?->hole === null ? [] : LessonFigures::of($case->hole, $touch === null ? null : Length::mm($touch))),
        ];
    }

    /** What was bound for the class of this learner; null where nothing was, and for whoever only reads. */
    public function binding(Lesson $lesson, ?User $learner): ?Binding
    {
        $key = $lesson->code.' '.($learner?->id);
        if (! array_key_exists($key, $this->bindings)) {
            $this->bindings[$key] = $learner === null ? null : Binding::for($lesson, $learner);
        }

        return $this->bindings[$key];
    }

    public function part(Lesson $lesson, ?User $learner): ?Part
    {
        return $this->binding($lesson, $learner)->part ?? $lesson->part;
    }

    public function machine(Lesson $lesson, ?User $learner): ?Machine
    {
        return $this->binding($lesson, $learner)->machine ?? $lesson->machine;
    }

    /** @return list<string> slugs of the cribs that its tools come from */
    public function cribs(Lesson $lesson, ?User $learner): array
    {
        $machine = $this->machine($lesson, $learner);

        return $machine === null ? [] : $this->shop->cribsFor($machine, $this->binding($lesson, $learner)->cribs ?? []);
    }

    /** @return list<array{key: string, value_mm: float}> what of the case is this learner's own */
    public function ownSizes(Lesson $lesson, ?User $learner): array
    {
        $binding = $this->binding($lesson, $learner);
        if ($binding === null || $learner === null) {
            return [];
        }
        $sized = $binding->sized([], $learner);

        return array_map(static fn (array $size): array => [
            'key' => $size['key'], 'value_mm' => Given::number(Arr::get($sized, $size['key'])),
        ], $binding->sizes);
    }

    /** @throws CoreException */
    public function case(Lesson $lesson, ?User $learner): ?BoundCase
    {
        return $this->cases[$lesson->id.' '.($learner?->id)] ??= $this->planned($lesson, $learner);
    }

    /** @throws CoreException */
    private function planned(Lesson $lesson, ?User $learner): ?BoundCase
    {
        if (! $lesson->isBound() || $lesson->part === null) {
            return null;
        }
        $machine = $this->machine($lesson, $learner);
        if ($machine === null) {
            throw Impossible::because('machine', 'learning.no_machine', ['kind' => Given::text($lesson->machine_kind)]);
        }
        $part = $this->part($lesson, $learner) ?? $lesson->part;
        $wanted = $lesson->wanted($part);

        return BoundCase::of(
            $this->bench($machine, $this->cribs($lesson, $learner), $part),
            Fields::of($learner === null ? $wanted : $this->binding($lesson, $learner)?->sized($wanted, $learner) ?? $wanted),
        );
    }

    /**
     * What a lesson is planned with, whatever state the machine is in today.
     *
     * @param  list<string>  $cribs  slugs
     *
     * @throws CoreException when there are no drills or no speeds
     */
    public function bench(Machine $machine, array $cribs, Part $part): Bench
    {
        if (! $this->shop->tools($cribs)->hasDrills() || $machine->speeds() === null) {
            throw Impossible::because('machine', 'learning.machine_bare', ['machine' => $machine->name]);
        }

        return $this->shop->bench($machine, $cribs, $part->material)->asTaught();
    }
}
