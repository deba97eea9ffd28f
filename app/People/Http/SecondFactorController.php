<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\OwnPassword;
use App\People\SecondFactor;
use App\People\Totp;
use App\People\User;
use App\Policy\Policy;
use App\Support\QrSquare;
use App\Support\Refusal;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** One's own second factor: prepared, confirmed with a code from it, turned off. Each takes the password again. */
final class SecondFactorController
{
    public function __construct(private readonly SecondFactor $factor, private readonly OwnPassword $password)
    {
    }

    public function prepare(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate(['password' => ['required', 'string', 'max:255']]);
        $this->password->check($user, $request->string('password')->value());
        $secret = $this->factor->prepare($user);

        return new JsonResponse(['secret' => $secret, 'square' => QrSquare::of(Totp::uri($secret, $user->email))], 201);
    }

    public function confirm(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate(['code' => ['required', 'string', 'max:40']]);

        return new JsonResponse(['recovery_codes' => $this->factor->confirm($user, $request->string('code')->value())]);
    }

    public function destroy(Request $request, #[CurrentUser] User $user): Response
    {
        $request->validate(['password' => ['required', 'string', 'max:255']]);
        $this->password->check($user, $request->string('password')->value());
        if (Policy::inForce()->secondFactorRequired && $user->teaches()) {
            throw Refusal::because('second_factor_required');
        }
        $this->factor->takeAway($user);

        return response()->noContent();
    }
}
