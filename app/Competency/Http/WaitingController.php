<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\WhoWaits;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final class WaitingController
{
    public function __invoke(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(WhoWaits::forTeacher($user));
    }
}
