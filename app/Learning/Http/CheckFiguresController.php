<?php

declare(strict_types=1);

namespace App\Learning\Http;

use App\Learning\Check;
use App\Learning\CheckFigures;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final class CheckFiguresController
{
    public function index(CheckFigures $figures, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($figures->rows($user));
    }

    public function show(string $code, CheckFigures $figures, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($figures->of(Check::current($code), $user));
    }
}
