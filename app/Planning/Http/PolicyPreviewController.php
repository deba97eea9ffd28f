<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\People\User;
use App\Planning\Plan;
use App\Planning\PlanKind;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Fields;
use MillStep\Core\Planning\PlanChanges;
use MillStep\Core\Workshop\ShopPolicy;

/** What a changed policy would do to an example: one saved plan, planned by the policy in force and by the changed one. */
final class PolicyPreviewController
{
    public function __invoke(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{plan: string, settings: array<string, mixed>} $given */
        $given = $request->validate(['plan' => ['required', 'uuid'], 'settings' => ['present', 'array']]);
        $faults = ShopPolicy::faults(Fields::of($given['settings']));
        if ($faults !== []) {
            throw ValidationException::withMessages($faults);
        }
        $plan = Plan::visibleTo($user)->where('kind', '!=', PlanKind::Layout)->findOrFail($given['plan']);

        return new JsonResponse(PlanChanges::between($plan->planNow()->toJson()['plan'], $plan->planNow($given['settings'])->toJson()['plan']));
    }
}
