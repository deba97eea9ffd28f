<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\Workshop\MaterialRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use MillStep\Core\Fields;
use MillStep\Core\Reference\Uncertainty;
use MillStep\Core\Workshop\Material;

final class MaterialController
{
    /** Columns whose figures are shown, with the key that they are shown under. */
    private const UNSURE = ['cutting_speed_m_min' => 'hss_drilling_speed_teach_m_min', 'cutting_force_n_mm2' => 'specific_cutting_force_kc_N_mm2', 'point_angle_deg' => 'point_angle_deg', 'grabs' => 'grabs'];

    public function index(): JsonResponse
    {
        return new JsonResponse(array_values(array_map(self::shown(...), MaterialRow::everything())));
    }

    public function store(Request $request, string $key): JsonResponse
    {
        $given = $request->validate([
            'name' => ['required', 'string', 'max:80'], 'group' => ['required', Rule::in(Material::GROUPS)], 'cutting_speed_m_min' => ['required', 'numeric'], 'cutting_force_n_mm2' => ['required', 'numeric'],
            'point_angle_deg' => ['required', 'numeric'], 'chip_form' => ['required', Rule::in(Material::CHIPS)], 'lubricant' => ['required', 'string', 'max:80'], 'lubricant_to_avoid' => ['nullable', 'string', 'max:160'],
            'grabs' => ['required', 'boolean'], 'edge' => ['required', 'in:normal,zero_rake'],
        ]);
        abort_unless(preg_match('/^[a-z0-9_]{1,60}$/', $key) === 1, 404);
        $row = [...$given, 'key' => $key, 'lubricant_to_avoid' => $given['lubricant_to_avoid'] ?? ''];
        foreach (['cutting_speed_m_min', 'cutting_force_n_mm2', 'point_angle_deg'] as $number) {
            $row[$number] = (float) $row[$number];
        }
        $material = Material::fromFields(Fields::of($row));
        MaterialRow::query()->updateOrCreate(['key' => $key], ['row' => $row]);

        return new JsonResponse(self::shown($material));
    }

    public function destroy(MaterialRow $material): Response
    {
        $material->delete();

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private static function shown(Material $material): array
    {
        $unsure = $material->ownRow ? [] : array_filter(array_map(static fn (string $column): ?string => Uncertainty::of('materials.csv', $material->key, $column), self::UNSURE), is_string(...));

        return [...$material->toFields(), 'own' => $material->ownRow, 'unsure' => (object) $unsure];
    }
}
