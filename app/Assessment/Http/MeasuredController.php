<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Measured;
use App\People\User;
use App\Workshop\Gauges\Gauge;
use Illuminate\Http\JsonResponse;

final class MeasuredController
{
    public function learner(User $learner, Measured $measured): JsonResponse
    {
        $pairs = $measured->pairs($learner);
        $agreement = $measured->agreement($pairs);

        return new JsonResponse([
            'learner' => $learner->name, 'pairs' => $pairs, 'agreement' => $agreement?->toArray(),
            'limits' => $agreement?->limits()?->toArray(), 'leaning' => $agreement?->leaning()?->value,
        ]);
    }

    public function gauge(Gauge $gauge, Measured $measured): JsonResponse
    {
        return new JsonResponse(['gauge' => $gauge->name, 'repeatability' => $measured->repeatability($gauge)?->toArray()]);
    }
}
