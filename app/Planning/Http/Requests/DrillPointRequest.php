<?php

declare(strict_types=1);

namespace App\Planning\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A drill's two lips, each with its length and its angle to the axis; lengths as they are typed. */
final class DrillPointRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'diameter' => ['required', 'string', 'max:20'],
            'lip_a' => ['required', 'string', 'max:20'],
            'lip_b' => ['required', 'string', 'max:20'],
            'angle_a' => ['required', 'numeric', 'between:10,89'],
            'angle_b' => ['required', 'numeric', 'between:10,89'],
            'point_angle' => ['nullable', 'numeric', 'between:60,160'],
            'tolerance' => ['nullable', 'string', 'max:20'],
        ];
    }
}
