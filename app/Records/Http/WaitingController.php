<?php

declare(strict_types=1);

namespace App\Records\Http;

use App\People\User;
use App\Records\WhoWaits;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final class WaitingController
{
    public function __invoke(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(WhoWaits::forTeacher($user));
    }
}
