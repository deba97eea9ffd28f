<?php

declare(strict_types=1);

namespace App\Workshop\Http\Requests;

use App\Language\Speech;
use App\Support\Given;
use App\Workshop\MaterialRow;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use MillStep\Core\Workshop\Material;

/** A row of the material table as the shop writes it; a new one takes a name that no other has. */
final class MaterialRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['bail', 'required', 'string', 'max:80', ...($this->isMethod('POST') ? [self::newName(...)] : [])],
            'group' => ['required', Rule::in(Material::GROUPS)],
            'cutting_speed_m_min' => ['required', 'numeric'], 'cutting_force_n_mm2' => ['required', 'numeric'],
            'point_angle_deg' => ['required', 'numeric'], 'chip_form' => ['required', Rule::in(Material::CHIPS)],
            'lubricant' => ['required', 'string', 'max:80'], 'lubricant_to_avoid' => ['nullable', 'string', 'max:160'],
            'grabs' => ['required', 'boolean'], 'edge' => ['required', 'in:normal,zero_rake'],
        ];
    }

    /** @return array<string, mixed> the shape that the core's Material reads */
    public function row(string $key): array
    {
        $row = [...Given::fields($this->validated()), 'key' => $key];
        foreach (['cutting_speed_m_min', 'cutting_force_n_mm2', 'point_angle_deg'] as $number) {
            $row[$number] = Given::number($row[$number] ?? null);
        }

        return [...$row, 'lubricant_to_avoid' => $row['lubricant_to_avoid'] ?? ''];
    }

    /** @param  Closure(string): mixed  $refuse */
    private static function newName(string $field, string $name, Closure $refuse): void
    {
        foreach (MaterialRow::everything() as $material) {
            if (Str::lower($material->name) === Str::lower(trim($name))) {
                $refuse(Speech::say('fault.material_named', ['name' => $name]));
            }
        }
    }
}
