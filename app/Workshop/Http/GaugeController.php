<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\People\User;
use App\Workshop\Gauges\CheckGauge;
use App\Workshop\Gauges\Gauge;
use App\Workshop\Gauges\SaveGauge;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

final class GaugeController
{
    public function index(): JsonResponse
    {
        return GaugeResource::collection(Gauge::query()->with('checks.checker')->orderBy('name')->get())->response();
    }

    public function store(Request $request, SaveGauge $save): JsonResponse
    {
        return (new GaugeResource($save(null, self::says($request))->load('checks.checker')))->response()->setStatusCode(201);
    }

    public function update(Request $request, Gauge $gauge, SaveGauge $save): GaugeResource
    {
        return new GaugeResource($save($gauge, self::says($request))->load('checks.checker'));
    }

    public function check(Request $request, Gauge $gauge, CheckGauge $check, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{id: string, checked_on: string, against: string, zero_error_mm: float, due_on: string} $says */
        $says = $request->validate([
            'id' => ['required', 'uuid'],
            'checked_on' => ['required', 'date_format:Y-m-d', 'before_or_equal:tomorrow', 'after:2000-01-01'],
            'against' => ['required', 'string', 'min:3', 'max:120'],
            'zero_error_mm' => ['required', 'numeric', 'between:-1,1'],
            'due_on' => ['required', 'date_format:Y-m-d', 'after:checked_on', 'before:2100-01-01'],
        ]);
        $check($gauge, $user, [...$says, 'zero_error_mm' => (float) $says['zero_error_mm']]);

        return (new GaugeResource($gauge->load('checks.checker')))->response()->setStatusCode(201);
    }

    /** @return array{name: string, kind: string, resolution_mm: float, uncertainty_mm: float, tip_mm?: float|null, retired?: bool} */
    private static function says(Request $request): array
    {
        /** @var array{name: string, kind: string, resolution_mm: float, uncertainty_mm: float, tip_mm?: float|null, retired?: bool} */
        return $request->validate([
            'name' => ['required', 'string', 'min:2', 'max:80'],
            'kind' => ['required', Rule::in(Gauge::KINDS)],
            'resolution_mm' => ['required', 'numeric', 'between:0.0005,1'],
            'uncertainty_mm' => ['required', 'numeric', 'between:0,1'],
            'tip_mm' => ['sometimes', 'nullable', 'numeric', 'between:0,3'],
            'retired' => ['sometimes', 'boolean'],
        ]);
    }
}
