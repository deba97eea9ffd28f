<?php

declare(strict_types=1);

namespace App\Measure\Http;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use MillStep\Core\Fields;
use MillStep\Core\Measure\ParseSize;

/** Says back what a field understood. */
final class SizeController
{
    public function __invoke(Request $request): JsonResponse
    {
        return new JsonResponse(ParseSize::fromFields(Fields::of($request->only(['text', 'default_unit'])))->compute());
    }
}
