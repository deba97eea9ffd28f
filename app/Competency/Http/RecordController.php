<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\LearnerRecord;
use App\People\User;
use Illuminate\Http\JsonResponse;

final class RecordController
{
    public function __invoke(User $learner, LearnerRecord $record): JsonResponse
    {
        return new JsonResponse($record->of($learner));
    }
}
