<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\Language\Sentences;
use App\Policy\Shop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

final class ShopController
{
    public function update(Request $request): JsonResponse
    {
        /** @var array{name: string, language: string} $given */
        $given = $request->validate([
            'name' => ['required', 'string', 'max:80'],
            'language' => ['required', Rule::in(Sentences::LANGUAGES)],
        ]);
        Shop::named($given['name'], $given['language']);

        return new JsonResponse(Shop::here());
    }
}
