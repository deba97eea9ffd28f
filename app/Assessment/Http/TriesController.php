<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Tries\Tries;
use App\Language\Speech;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

final class TriesController
{
    public function __invoke(Request $request, Tries $tries): JsonResponse
    {
        /** @var array{find?: string|null, ended?: string|null, learner?: int|string|null, page?: int|string|null} $asked */
        $asked = $request->validate([
            'find' => ['nullable', 'string', 'max:100'],
            'ended' => ['nullable', Rule::in(Tries::ENDED)],
            'learner' => ['nullable', 'integer', 'between:1,9007199254740991'],
            'page' => ['nullable', 'integer', 'between:1,100000'],
        ]);

        return new JsonResponse($tries->page($asked, Speech::of($request)));
    }
}
