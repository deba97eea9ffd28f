<?php

declare(strict_types=1);

namespace App\Planning;

use App\People\User;
use App\Support\Refusal;
use App\Workshop\ShopAtHand;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\CoreException;

/** Gives a plan its name and keeps it, new or changed. Sent twice it is written once. */
final class SavePlan
{
    /**
     * @param  array{name: string, kind: PlanKind, request: array<string, mixed>, part_id?: int|null, lessons?: list<string>,
     *     sheets?: list<string>}  $given
     * @param  'mm'|'in'  $units  that the request was typed in
     *
     * @throws Refusal `not_yours`, `id_used` when the id is a plan's of another kind, or of one that was removed
     * @throws ValidationException|CoreException when it cannot be planned at all
     */
    public function __invoke(string $id, array $given, User $user, string $units): Plan
    {
        $request = [...$given['request'], 'units' => $units];
        $answer = $given['kind']->wanted()::of($request, $units)->plan(new ShopAtHand)->toArray();

        return DB::transaction(function () use ($id, $given, $request, $answer, $user): Plan {
            $plan = Plan::withTrashed()->with('owner')->lockForUpdate()->find($id);
            if ($plan !== null && ! $user->can('update', $plan)) {
                throw Refusal::forbidden('not_yours');
            }
            if ($plan !== null && ($plan->trashed() || $plan->kind !== $given['kind'])) {
                throw Refusal::idUsed();
            }
            $plan ??= new Plan(['id' => $id, 'owner_id' => $user->id, 'kind' => $given['kind']]);
            $plan->fill(['name' => $given['name'], 'request' => $request, 'answer' => $answer, 'part_id' => $given['part_id'] ?? null])
                ->save();
            if ($user->teaches()) {
                self::attach($plan, $given['lessons'] ?? [], $given['sheets'] ?? []);
            }

            return $plan;
        });
    }

    /**
     * @param  list<string>  $lessons  codes
     * @param  list<string>  $sheets
     */
    private static function attach(Plan $plan, array $lessons, array $sheets): void
    {
        $plan->attachments()->delete();
        Attachment::query()->insert([
            ...array_map(
                static fn (string $code): array => ['plan_id' => $plan->id, 'to' => 'lesson', 'code' => $code],
                array_values(array_unique($lessons)),
            ),
            ...array_map(
                static fn (string $code): array => ['plan_id' => $plan->id, 'to' => 'sheet', 'code' => $code],
                array_values(array_unique($sheets)),
            ),
        ]);
    }
}
