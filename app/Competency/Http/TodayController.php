<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\Today;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final class TodayController
{
    public function __invoke(Today $today, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($today->for($user));
    }
}
