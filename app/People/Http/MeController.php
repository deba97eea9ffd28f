<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Language\Sentences;
use App\People\FirstLead;
use App\People\User;
use App\Policy\Policy;
use App\Policy\Shop;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

final class MeController
{
    /** Answers for guests too, so that the front end can tell whom it serves. */
    public function show(Request $request, #[CurrentUser] ?User $user): JsonResponse
    {
        return new JsonResponse([
            'person' => $user === null ? null : new PersonResource($user),
            // A shared tablet that is left alone so long signs out.
            'idle_minutes' => $user !== null && $request->session()->has(LeftAlone::TOUCHED) ? Policy::inForce()->sharedIdleMinutes : null,
            'first_run' => $user === null && FirstLead::isWanted(),
            'shop' => Shop::here(),
            'demo' => config('millstep.demo') === true,
        ]);
    }

    public function update(Request $request, #[CurrentUser] User $user): PersonResource
    {
        /** @var array<string, mixed> $given */
        $given = $request->validate([
            'name' => ['sometimes', 'required', 'string', 'max:80'],
            'units' => ['sometimes', 'required', 'in:mm,in'],
            'mail_when_waiting' => ['sometimes', 'required', 'boolean'],
            'language' => ['sometimes', 'required', Rule::in(Sentences::LANGUAGES)],
        ]);
        // In a transaction, in which the log of changes is told who.
        $user->updateOrFail($given);

        return new PersonResource($user);
    }
}
