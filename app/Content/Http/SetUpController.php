<?php

declare(strict_types=1);

namespace App\Content\Http;

use App\Content\SetUp;
use Illuminate\Http\JsonResponse;

final class SetUpController
{
    public function __invoke(): JsonResponse
    {
        return new JsonResponse((object) SetUp::steps());
    }
}
