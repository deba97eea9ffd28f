<?php

declare(strict_types=1);

namespace App\Workshop\Http\Requests;

use App\Workshop\Tool;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A tool of a crib, its sizes as they are typed. */
final class ToolRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::in(Tool::KINDS)], 'size' => ['required', 'string', 'max:40'],
            'edge' => ['nullable', 'in:normal,zero_rake'], 'type' => ['nullable', 'string', 'max:20'],
            'method' => ['nullable', 'in:hand,machine'], 'gauge' => ['nullable', 'in:plug,pin,thread'],
            'taper' => ['nullable', 'integer', 'min:0', 'max:6'], 'flute_length' => ['nullable', 'string', 'max:20'],
            'enters' => ['nullable', 'string', 'max:20'], 'reach' => ['nullable', 'string', 'max:20'],
            'point_angle' => ['nullable', 'integer', 'between:60,150'],
        ];
    }

    /**
     * @return array{kind: string, size: string, edge?: string|null, type?: string|null, method?: string|null, gauge?: string|null,
     *     taper?: int|null, flute_length?: string|null, point_angle?: int|null,
     *     enters?: string|null, reach?: string|null}
     */
    public function tool(): array
    {
        /** @var array{kind: string, size: string, edge?: string|null, type?: string|null, method?: string|null, gauge?: string|null,
         *     taper?: int|null, flute_length?: string|null, point_angle?: int|null, enters?: string|null, reach?: string|null} */
        return $this->validated();
    }
}
