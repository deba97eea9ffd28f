<?php

declare(strict_types=1);

namespace App\Records\Http;

use App\People\User;
use App\Records\LearnerRecord;
use Illuminate\Http\JsonResponse;

final class LearnerController
{
    public function __invoke(User $learner, LearnerRecord $record): JsonResponse
    {
        return new JsonResponse($record->of($learner));
    }
}
