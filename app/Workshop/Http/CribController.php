<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\People\User;
use App\Support\Given;
use App\Workshop\AddDrillSet;
use App\Workshop\Crib;
use App\Workshop\Http\Requests\ToolRequest;
use App\Workshop\SaveTool;
use App\Workshop\Tool;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use MillStep\Core\Workshop\DrillSeries;

final class CribController
{
    public function index(): JsonResponse
    {
        return CribResource::collection(Crib::query()->with(['tools', 'machines'])->orderBy('id')->get())->response();
    }

    public function store(Request $request): JsonResponse
    {
        /** @var array{name: string, note?: string|null} $given */
        $given = $request->validate([
            'name' => ['required', 'string', 'max:80', 'unique:workshop_cribs,name'],
            'note' => ['nullable', 'string', 'max:240'],
        ]);
        $crib = Crib::query()->create([...$given, 'slug' => Str::slug($given['name']).'-'.Str::lower(Str::random(4))]);

        return (new CribResource($crib->load(['tools', 'machines'])))->response()->setStatusCode(201);
    }

    public function update(Request $request, Crib $crib): CribResource
    {
        $crib->update(
            Given::fields($request->validate([
                'name' => ['required', 'string', 'max:80', Rule::unique('workshop_cribs', 'name')->ignore($crib->id)],
                'note' => ['nullable', 'string', 'max:240'],
            ])),
        );

        return self::shown($crib);
    }

    public function destroy(Crib $crib): Response
    {
        $crib->delete();

        return response()->noContent();
    }

    public function addSet(Request $request, Crib $crib, AddDrillSet $add): CribResource
    {
        /** @var array{series: string, edge?: 'normal'|'zero_rake'} $given */
        $given = $request->validate(['series' => ['required', Rule::enum(DrillSeries::class)], 'edge' => ['in:normal,zero_rake']]);
        $add($crib, DrillSeries::from($given['series']), $given['edge'] ?? 'normal');

        return self::shown($crib);
    }

    public function addTool(ToolRequest $request, Crib $crib, SaveTool $save, #[CurrentUser] User $user): CribResource
    {
        $save($crib, $request->tool(), $user->units);

        return self::shown($crib);
    }

    public function changeTool(Request $request, Tool $tool): CribResource
    {
        $tool->update(Given::fields($request->validate(['condition' => ['required', Rule::in(Tool::CONDITIONS)]])));

        return self::shown($tool->load('crib')->crib);
    }

    public function removeTool(Tool $tool): CribResource
    {
        $crib = $tool->load('crib')->crib;
        $tool->delete();

        return self::shown($crib);
    }

    /** Takes a removal back; a tool that came in again meanwhile stays the one that is there. */
    public function restoreTool(Tool $tool): CribResource
    {
        $crib = $tool->load('crib')->crib;
        $again = $crib->tools()->where($tool->only(['kind', 'designation', 'edge']))->exists();
        if (! $again) {
            $tool->restore();
        }

        return self::shown($crib);
    }

    private static function shown(Crib $crib): CribResource
    {
        return new CribResource($crib->load(['tools', 'machines']));
    }
}
