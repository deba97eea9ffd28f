<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\BadgeDesk;
use App\People\ChangeActive;
use App\People\ForgetPerson;
use App\People\Http\Requests\PersonRequest;
use App\People\Invite;
use App\People\Pin;
use App\People\SavePerson;
use App\People\SecondFactor;
use App\People\User;
use App\Support\Refusal;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Everybody, for the shop lead: who is here, and whose PIN is set. */
final class StaffController
{
    public function index(): JsonResponse
    {
        return new JsonResponse(StaffResource::everybody());
    }

    public function store(PersonRequest $request, SavePerson $save, Invite $invite, #[CurrentUser] User $user): JsonResponse
    {
        $person = $save(null, [...$request->person(), 'units' => $user->units], $user);
        $link = $request->boolean('invite') ? $invite($person) : null;

        return StaffResource::one($person, $link)->response()->setStatusCode(201);
    }

    public function replace(PersonRequest $request, User $person, SavePerson $save, #[CurrentUser] User $user): StaffResource
    {
        return StaffResource::one($save($person, $request->person(), $user));
    }

    public function invite(User $person, Invite $invite): StaffResource
    {
        $person->checkIsKnown();

        return StaffResource::one($person, $invite($person));
    }

    /** Hands a badge out, in the place of the one they have. */
    public function badge(Request $request, User $person, BadgeDesk $badges, #[CurrentUser] User $user): StaffResource
    {
        /** @var array{code: string} $given */
        $given = $request->validate(['code' => ['required', 'string', 'min:4', 'max:64']]);
        $person->checkIsKnown();
        $badges->issue($person, $given['code'], $user);

        return StaffResource::one($person);
    }

    public function endBadge(Request $request, User $person, BadgeDesk $badges, #[CurrentUser] User $user): StaffResource
    {
        /** @var array{because: 'lost'|'returned'} $given */
        $given = $request->validate(['because' => ['required', 'in:lost,returned']]);
        $badges->end($person, $given['because'], $user);

        return StaffResource::one($person);
    }

    public function update(Request $request, User $person, ChangeActive $change, #[CurrentUser] User $user): StaffResource
    {
        $request->validate(['active' => ['required', 'boolean']]);

        return StaffResource::one($change($person, $request->boolean('active'), $user));
    }

    /** Forgets whoever is no longer here: what was known and said of them, not what they did. Sent twice it is done once. */
    public function forget(Request $request, User $person, ForgetPerson $forget, #[CurrentUser] User $user): StaffResource
    {
        /** @var array{pin: string} $given */
        $given = $request->validate(['pin' => ['required', 'string', 'max:20']]);

        return StaffResource::one($forget($person, $user, $given['pin']));
    }

    /** Of somebody else: one's own is turned off on one's own page, with the password. */
    public function takeSecondFactorAway(User $person, SecondFactor $factor, #[CurrentUser] User $user): StaffResource
    {
        if ($person->is($user)) {
            throw Refusal::forbidden('own_account', says: 'own_second_factor');
        }
        $factor->takeAway($person);

        return StaffResource::one($person);
    }

    public function resetPin(User $person, Pin $pin): StaffResource
    {
        $pin->reset($person);

        return StaffResource::one($person);
    }
}
