<?php

declare(strict_types=1);

namespace App\Records\Http;

use App\People\User;
use App\Records\Today;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final class TodayController
{
    public function __invoke(Today $today, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($today->for($user));
    }
}
