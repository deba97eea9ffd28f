<?php

declare(strict_types=1);

namespace App\Content\Http;

use App\Competency\Taught;
use App\Workshop\Part;
use Illuminate\Http\JsonResponse;

/** What a plan may be attached to, and which parts there are. */
final class PlanChoicesController
{
    public function __invoke(Taught $taught): JsonResponse
    {
        $titles = $taught->titles();

        return new JsonResponse([
            'lessons' => $titles['lessons'],
            'sheets' => $titles['assessments'],
            'parts' => Part::query()
                ->orderBy('id')
                ->get()
                ->map(static fn (Part $part): array => ['slug' => $part->slug, 'name' => $part->name, 'stock' => $part->stock])
                ->all(),
        ]);
    }
}
