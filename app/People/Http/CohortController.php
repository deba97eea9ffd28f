<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Cohort;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Validation\Rule;

final class CohortController
{
    public function index(): AnonymousResourceCollection
    {
        return CohortResource::collection(Cohort::query()->withCount('members')->orderBy('starts_on')->orderBy('name')->get());
    }

    public function store(Request $request): JsonResponse
    {
        // In a transaction, in which the log of changes is told who.
        $cohort = new Cohort($this->given($request, null));
        $cohort->saveOrFail();

        return (new CohortResource($cohort->loadCount('members')))->response()->setStatusCode(201);
    }

    public function update(Request $request, Cohort $cohort): CohortResource
    {
        $cohort->updateOrFail($this->given($request, $cohort));

        return new CohortResource($cohort->loadCount('members'));
    }

    /** @return array<string, mixed> */
    private function given(Request $request, ?Cohort $cohort): array
    {
        /** @var array<string, mixed> */
        return $request->validate([
            'name' => ['bail', 'required', 'string', 'max:80', Rule::unique('people_cohorts', 'name')->ignore($cohort?->id)],
            'starts_on' => ['bail', 'required', 'string', 'date_format:Y-m-d', 'after:1990-01-01', 'before:2200-01-01'],
            'ends_on' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after_or_equal:starts_on', 'before:2200-01-01'],
        ]);
    }
}
