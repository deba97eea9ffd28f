<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\ChangeActive;
use App\People\Pin;
use App\People\SecondFactor;
use App\People\User;
use App\Support\Refusal;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;

/** Everybody, for the shop lead: who is here, and whose PIN is set. */
final class StaffController
{
    public function index(): AnonymousResourceCollection
    {
        return StaffResource::collection(User::query()->with(['cohort', 'signsFor'])->orderBy('name')->get());
    }

    public function update(Request $request, User $person, ChangeActive $change, #[CurrentUser] User $user): StaffResource
    {
        $request->validate(['active' => ['required', 'boolean']]);

        return new StaffResource($change($person, $request->boolean('active'), $user)->load(['cohort', 'signsFor']));
    }

    /** Of somebody else: one's own is turned off on one's own page, with the password. */
    public function takeSecondFactorAway(User $person, SecondFactor $factor, #[CurrentUser] User $user): StaffResource
    {
        if ($person->is($user)) {
            throw Refusal::forbidden('own_account', says: 'own_second_factor');
        }
        $factor->takeAway($person);

        return new StaffResource($person->refresh()->load(['cohort', 'signsFor']));
    }

    public function resetPin(User $person, Pin $pin): StaffResource
    {
        $pin->reset($person);

        return new StaffResource($person->refresh()->load(['cohort', 'signsFor']));
    }
}
