<?php

declare(strict_types=1);

namespace App\Measure\Http;

use App\Measure\Understand;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Says back what the fields of a page understood: all of them in one call, in their order. */
final class SizesController
{
    private const MOST = 100;

    public function __invoke(Request $request): JsonResponse
    {
        /** @var array{default_unit?: 'mm'|'in', sizes: list<array{text: string, as: 'size'|'length'|'hole'|'thread'}>} $given */
        $given = $request->validate([
            'default_unit' => ['sometimes', 'in:mm,in'],
            'sizes' => ['required', 'list', 'max:'.self::MOST],
            'sizes.*' => ['array:text,as'],
            'sizes.*.text' => ['required', 'string', 'max:200'],
            'sizes.*.as' => ['required', Rule::in(Understand::KINDS)],
        ]);
        $understand = new Understand($given['default_unit'] ?? 'mm');

        return new JsonResponse(array_map(
            static fn (array $size): array => [
                'text' => $size['text'], 'as' => $size['as'], ...$understand->text($size['text'], $size['as']),
            ],
            $given['sizes'],
        ));
    }
}
