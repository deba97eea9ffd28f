<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** Plans a hole for a machine of this shop. Computes only; nothing is kept. */
final class HolePlanController
{
    public function __invoke(HolePlanRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($request->plan($user->units)->compute());
    }
}
