<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use Illuminate\Http\JsonResponse;
use MillStep\Core\Workshop\Material;
use MillStep\Core\Workshop\MaterialTable;

final class MaterialController
{
    public function __invoke(): JsonResponse
    {
        return new JsonResponse(array_values(array_map(static fn (Material $material): array => [
            'key' => $material->key, 'name' => $material->name, 'group' => $material->group,
        ], MaterialTable::shipped()->all())));
    }
}
