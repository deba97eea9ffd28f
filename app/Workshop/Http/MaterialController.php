<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\Workshop\Http\Requests\MaterialRequest;
use App\Workshop\MaterialRow;
use App\Workshop\UniqueSlug;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use MillStep\Core\Border\Fields;
use MillStep\Core\Reference\Uncertainty;
use MillStep\Core\Workshop\Material;

final class MaterialController
{
    /** Columns whose figures are shown, with the key that they are shown under. */
    private const UNSURE = [
        'cutting_speed_m_min' => 'hss_drilling_speed_teach_m_min',
        'cutting_force_n_mm2' => 'specific_cutting_force_kc_N_mm2',
        'point_angle_deg' => 'point_angle_deg',
        'grabs' => 'grabs',
    ];

    public function index(): JsonResponse
    {
        return new JsonResponse(array_values(array_map(self::shown(...), MaterialRow::everything())));
    }

    /** A material that the shop did not have; its key is made of its name. */
    public function store(MaterialRequest $request): JsonResponse
    {
        $all = MaterialRow::everything();
        $key = UniqueSlug::of($request->string('name')->toString(), 'own', static fn (string $key): bool => isset($all[$key]), '_');

        return $this->written($request, $key)->setStatusCode(201);
    }

    /** A row of the shop's own in the place of one that is there. */
    public function update(MaterialRequest $request, string $key): JsonResponse
    {
        abort_unless(preg_match('/^[a-z0-9_]{1,60}$/', $key) === 1, 404);

        return $this->written($request, $key);
    }

    public function destroy(MaterialRow $material): Response
    {
        $material->delete();

        return response()->noContent();
    }

    private function written(MaterialRequest $request, string $key): JsonResponse
    {
        $row = $request->row($key);
        $material = Material::fromFields(Fields::of($row));
        MaterialRow::query()->updateOrCreate(['key' => $key], ['row' => $row]);

        return new JsonResponse(self::shown($material));
    }

    /** @return array<string, mixed> */
    private static function shown(Material $material): array
    {
        $unsure = $material->ownRow
            ? []
            : array_filter(
                array_map(
                    static fn (string $column): ?array => Uncertainty::of('materials.csv', $material->key, $column)?->toArray(),
                    self::UNSURE,
                ),
                is_array(...),
            );

        return [
            ...$material->toFields(),
            'word' => $material->word(), 'lubricant_word' => $material->lubricant->word(), 'avoid_word' => $material->avoid(),
            'own' => $material->ownRow, 'unsure' => (object) $unsure,
        ];
    }
}
