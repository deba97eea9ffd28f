<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\Language\Speech;
use App\Workshop\MaterialRow;
use App\Workshop\UniqueSlug;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
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
    public function store(Request $request): JsonResponse
    {
        $all = MaterialRow::everything();
        $names = array_map(static fn (Material $material): string => Str::lower($material->name), $all);
        $request->validate(['name' => ['bail', 'required', 'string', static function (string $field, string $name,
            Closure $refuse) use ($names): void {
            if (in_array(Str::lower(trim($name)), $names, true)) {
                $refuse(Speech::say('fault.material_named', ['name' => $name]));
            }
        }]]);
        $key = UniqueSlug::of($request->string('name')->toString(), 'own', static fn (string $key): bool => isset($all[$key]), '_');

        return $this->written($request, $key)->setStatusCode(201);
    }

    /** A row of the shop's own in the place of one that is there. */
    public function update(Request $request, string $key): JsonResponse
    {
        abort_unless(preg_match('/^[a-z0-9_]{1,60}$/', $key) === 1, 404);

        return $this->written($request, $key);
    }

    public function destroy(MaterialRow $material): Response
    {
        $material->delete();

        return response()->noContent();
    }

    private function written(Request $request, string $key): JsonResponse
    {
        $given = $request->validate([
            'name' => ['required', 'string', 'max:80'], 'group' => ['required', Rule::in(Material::GROUPS)],
            'cutting_speed_m_min' => ['required', 'numeric'], 'cutting_force_n_mm2' => ['required', 'numeric'],
            'point_angle_deg' => ['required', 'numeric'], 'chip_form' => ['required', Rule::in(Material::CHIPS)],
            'lubricant' => ['required', 'string', 'max:80'], 'lubricant_to_avoid' => ['nullable', 'string', 'max:160'],
            'grabs' => ['required', 'boolean'], 'edge' => ['required', 'in:normal,zero_rake'],
        ]);
        $row = [...$given, 'key' => $key, 'lubricant_to_avoid' => $given['lubricant_to_avoid'] ?? ''];
        foreach (['cutting_speed_m_min', 'cutting_force_n_mm2', 'point_angle_deg'] as $number) {
            $row[$number] = (float) $row[$number];
        }
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
