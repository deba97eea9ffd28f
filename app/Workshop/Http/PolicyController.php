<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\People\User;
use App\Policy\Policy;
use App\Workshop\ChangePolicy;
use App\Workshop\TypedSettings;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use MillStep\Core\Policy\PolicySettings;

final class PolicyController
{
    private const SHOWN_CHANGES = 20;

    public function show(): JsonResponse
    {
        $catalogue = [];
        foreach (PolicySettings::all() as $key => $setting) {
            $catalogue[] = ['key' => $key, ...$setting];
        }

        $changes = Policy::query()->latest('in_force_from')->latest('id')->limit(self::SHOWN_CHANGES)->get();
        $names = User::query()->whereKey($changes->pluck('set_by')->filter()->unique())->pluck('name', 'id');

        return new JsonResponse([
            'settings' => (object) Policy::settingsInForce(),
            'catalogue' => $catalogue,
            'changes' => $changes->map(static fn (Policy $policy): array => [
                'in_force_from' => $policy->in_force_from->toIso8601ZuluString(),
                'by' => $names[$policy->set_by] ?? null,
                'note' => $policy->note,
            ])->all(),
        ]);
    }

    public function update(Request $request, ChangePolicy $change, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{settings: array<string, mixed>, note: string} $given */
        $given = $request->validate(['settings' => ['required', 'array'], 'note' => ['required', 'string', 'min:5', 'max:240']]);
        $change(TypedSettings::read($given['settings'], $user->units), $given['note'], $user);

        return $this->show();
    }
}
