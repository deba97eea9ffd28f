<?php

declare(strict_types=1);

namespace App\Records\Http;

use App\People\User;
use App\Records\Assessing\AssessorsCompared;
use App\Records\Assessing\ReadyToAssess;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final class AssessingController
{
    public function ready(ReadyToAssess $ready, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($ready->for($user));
    }

    public function assessors(AssessorsCompared $compared, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($compared->for($user));
    }
}
