<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\Measure\LengthInput;
use App\People\User;
use App\Workshop\Bar;
use App\Workshop\MaterialRow;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

final class BarController
{
    public function index(): JsonResponse
    {
        return new JsonResponse(
            Bar::query()->orderBy('material')->orderBy('diameter_mm')->orderBy('length_mm')->get()->map(self::shown(...))->all(),
        );
    }

    /** The same bar again only changes how many there are. */
    public function store(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $given = $request->validate([
            'material' => ['required', Rule::in(array_keys(MaterialRow::everything()))],
            'diameter' => ['required', 'string', 'max:20'],
            'length' => ['required', 'string', 'max:20'],
            'count' => ['required', 'integer', 'min:0', 'max:100000'],
        ]);
        $typed = new LengthInput($request, $user->units);
        $bar = Bar::query()->updateOrCreate(
            ['material' => $given['material'], 'diameter_mm' => $typed->length('diameter'), 'length_mm' => $typed->length('length')],
            ['count' => $given['count']],
        );

        return new JsonResponse(self::shown($bar->refresh()));
    }

    public function destroy(Bar $bar): Response
    {
        $bar->delete();

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private static function shown(Bar $bar): array
    {
        return $bar->only(['id', 'material', 'diameter_mm', 'length_mm', 'count']);
    }
}
