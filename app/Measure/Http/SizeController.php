<?php

declare(strict_types=1);

namespace App\Measure\Http;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use MillStep\Core\Border\Fields;
use MillStep\Core\Measure\ParseSize;
use MillStep\Core\Measure\Size;

/** Says back what a field understood. */
final class SizeController
{
    public function __invoke(Request $request): JsonResponse
    {
        $asked = ParseSize::fromFields(Fields::of($request->only(['text', 'default_unit'])));

        // Stock is longer than any drill is wide.
        return new JsonResponse($request->boolean('stock') ? Size::length($asked->text, $asked->defaultUnit) : $asked->compute());
    }
}
