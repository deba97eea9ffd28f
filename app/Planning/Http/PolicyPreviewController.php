<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\People\User;
use App\Planning\Plan;
use App\Planning\PlanKind;
use App\Workshop\ShopAtHand;
use App\Workshop\TypedSettings;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Planning\Plan\PlanChanges;
use MillStep\Core\Policy\ShopPolicy;

/** What a changed policy would do: every saved plan, planned by the policy in force and by the changed one. */
final class PolicyPreviewController
{
    public function __invoke(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{plan?: string|null, settings: array<string, mixed>} $given */
        $given = $request->validate(['plan' => ['nullable', 'uuid'], 'settings' => ['present', 'array']]);
        $settings = TypedSettings::read($given['settings'], $user->units);
        $shop = new ShopAtHand;
        $changed = ShopPolicy::fromFields(Fields::of($settings));
        $changes = [];
        $plans = Plan::visibleTo($user)->where('kind', '!=', PlanKind::Layout)->orderBy('name')->get();
        foreach ($plans as $plan) {
            $changes[$plan->id] = self::changes($plan, $shop, $changed);
        }
        $affected = array_filter($changes, static fn (?PlanChanges $each): bool => $each?->any() ?? false);
        $shown = isset($given['plan'], $affected[$given['plan']]) ? $given['plan'] : (string) array_key_first($affected);

        return new JsonResponse([
            'of' => count($changes),
            'affected' => array_values(
                $plans->filter(static fn (Plan $plan): bool => isset($affected[$plan->id]))
                    ->map(static fn (Plan $plan): array => ['id' => $plan->id, 'name' => $plan->name, 'kind' => $plan->kind->value])
                    ->all(),
            ),
            'shown' => $affected === [] ? null : $shown,
            'changes' => $affected[$shown] ?? null,
        ]);
    }

    /** Null for a plan that cannot be planned any more, by either policy. One that is broken spoils nobody else's preview. */
    private static function changes(Plan $plan, ShopAtHand $shop, ShopPolicy $changed): ?PlanChanges
    {
        try {
            return PlanChanges::between($plan->planNow($shop)->compared(), $plan->planNow($shop, $changed)->compared());
        } catch (CoreException|ValidationException) {
            return null;
        }
    }
}
