<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\People\User;
use App\Planning\Plan;
use App\Planning\PlanKind;
use App\Planning\Planned;
use App\Planning\SavePlan;
use App\Workshop\ShopAtHand;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use MillStep\Core\Planning\Plan\PlanChanges;

final class PlanController
{
    private const WITH = ['owner', 'part', 'attachments'];

    public function index(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(
            Plan::visibleTo($user)
                ->with(self::WITH)
                ->orderBy('name')
                ->get()
                ->map(static fn (Plan $plan): array => PlanResource::entry($plan, $user))
                ->all(),
        );
    }

    public function show(string $plan, #[CurrentUser] User $user): PlanResource
    {
        return new PlanResource(self::visible($plan, $user), $user);
    }

    /** Also changes it: the same id again is the same plan. */
    public function store(SavePlanRequest $request, string $plan, SavePlan $save, #[CurrentUser] User $user): PlanResource
    {
        abort_unless(Str::isUuid($plan), 404);

        return new PlanResource($save($plan, $request->given(), $user, $user->units)->load(self::WITH), $user);
    }

    public function destroy(string $plan, #[CurrentUser] User $user): Response
    {
        $found = self::visible($plan, $user);
        Gate::forUser($user)->authorize('update', $found);
        $found->delete();

        return response()->noContent();
    }

    /** Takes the removal back. */
    public function restore(string $plan, #[CurrentUser] User $user): PlanResource
    {
        abort_unless(Str::isUuid($plan), 404);
        $found = Plan::withTrashed()->with(self::WITH)->findOrFail($plan);
        Gate::forUser($user)->authorize('update', $found);
        $found->restore();

        return new PlanResource($found, $user);
    }

    public function compare(string $first, string $second, #[CurrentUser] User $user): JsonResponse
    {
        $plans = [self::visible($first, $user), self::visible($second, $user)];
        abort_if($plans[0]->kind === PlanKind::Layout || $plans[1]->kind === PlanKind::Layout, 404);
        $shop = new ShopAtHand;
        $planned = array_map(static fn (Plan $plan): Planned => $plan->planNow($shop), $plans);

        return new JsonResponse([
            'plans' => array_map(static fn (Plan $plan): array => PlanResource::entry($plan, $user), $plans),
            'headings' => array_map(static fn (Planned $each): array => $each->heading, $planned),
            'changes' => PlanChanges::between($planned[0]->compared(), $planned[1]->compared())->toArray(),
        ]);
    }

    private static function visible(string $id, User $user): Plan
    {
        abort_unless(Str::isUuid($id), 404);
        $plan = Plan::query()->with(self::WITH)->findOrFail($id);
        Gate::forUser($user)->authorize('view', $plan);

        return $plan;
    }
}
