<?php

declare(strict_types=1);

namespace App\Learning\Http;

use App\Learning\Binding;
use App\Learning\BindLesson;
use App\Learning\Lesson;
use App\Measure\LengthInput;
use App\People\Cohort;
use App\People\User;
use App\Workshop\Crib;
use App\Workshop\Machine;
use App\Workshop\Part;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** What a lesson is about for each class: its part, machine, cribs and sizes of everybody's own. */
final class BindingController
{
    public function index(string $code, #[CurrentUser] User $user): JsonResponse
    {
        $lesson = Lesson::current($code);
        $bindings = Binding::query()->with(['part', 'machine'])->where('lesson', $code)->get()->keyBy('cohort_id');

        return new JsonResponse([
            'bound' => $lesson->isBound(),
            'sizes' => $lesson->ownSizes(),
            'parts' => self::named(Part::query()->orderBy('id')->get()),
            'machines' => self::named(Machine::query()->where('kind', $lesson->machine_kind)->orderBy('id')->get()),
            'cribs' => self::named(Crib::query()->orderBy('id')->get()),
            'cohorts' => Cohort::reachedBy($user)->map(static fn (Cohort $cohort): array => [
                'id' => $cohort->id, 'name' => $cohort->name, 'binding' => self::said($bindings->get($cohort->id)),
            ])->all(),
        ]);
    }

    public function store(Request $request, string $code, Cohort $cohort, BindLesson $bind, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('teach-cohort', $cohort);
        $lesson = Lesson::current($code);
        $slug = ['nullable', 'string', 'max:80'];
        $size = ['required', 'string', 'max:20'];
        /** @var array{part?: string|null, machine?: string|null, cribs?: list<string>, sizes?: list<array{key: string}>} $given */
        $given = $request->validate([
            'part' => [...$slug, 'exists:workshop_parts,slug'], 'machine' => [...$slug, 'exists:workshop_machines,slug'],
            'cribs' => ['array', 'max:50'], 'cribs.*' => ['string', 'max:80', 'exists:workshop_cribs,slug'],
            'sizes' => ['array', 'max:3'], 'sizes.*.key' => ['required', 'distinct', 'in:'.implode(',', $lesson->ownSizes())],
            'sizes.*.from' => $size, 'sizes.*.to' => $size, 'sizes.*.step' => $size,
        ]);
        $typed = new LengthInput($request, $user->units);
        $keys = array_values(array_column($given['sizes'] ?? [], 'key'));
        $sizes = array_map(static fn (int $place, string $key): array => [
            'key' => $key, 'from_mm' => $typed->length("sizes.$place.from"),
            'to_mm' => $typed->length("sizes.$place.to"), 'step_mm' => $typed->length("sizes.$place.step"),
        ], array_keys($keys), $keys);

        return new JsonResponse(self::said($bind($lesson, $cohort, [...$given, 'sizes' => $sizes], $user)));
    }

    public function destroy(string $code, Cohort $cohort): Response
    {
        Gate::authorize('teach-cohort', $cohort);
        Binding::query()->where('lesson', $code)->where('cohort_id', $cohort->id)->delete();

        return response()->noContent();
    }

    /**
     * @param  Collection<int, covariant Part|Machine|Crib>  $things
     * @return list<array{slug: string, name: string}>
     */
    private static function named(Collection $things): array
    {
        return array_values($things->map(static fn (Part|Machine|Crib $thing): array => [
            'slug' => $thing->slug, 'name' => $thing->name,
        ])->all());
    }

    /** @return array<string, mixed>|null */
    private static function said(?Binding $binding): ?array
    {
        return $binding === null ? null : [
            'part' => $binding->part?->slug, 'machine' => $binding->machine?->slug, 'cribs' => $binding->cribs, 'sizes' => $binding->sizes,
            'bound_at' => $binding->bound_at->toIso8601ZuluString(),
        ];
    }
}
