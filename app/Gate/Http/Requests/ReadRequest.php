<?php

declare(strict_types=1);

namespace App\Gate\Http\Requests;

use App\Gate\ReadBadge;
use Illuminate\Foundation\Http\FormRequest;
use MillStep\Core\Competency\Scope;

/**
 * A badge that was held to a machine's reader, what is meant by it, and what is to be made.
 *
 * @phpstan-import-type Read from ReadBadge
 */
final class ReadRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'uuid'],
            'intent' => ['required', 'in:start,finish,hand_over'],
            'badge' => ['required_without:follows', 'prohibits:follows', 'string', 'max:64'],
            'follows' => ['required_without:badge', 'uuid'],
            'companion_badge' => ['nullable', 'string', 'max:64'],
            'supervisor' => ['nullable', 'integer', 'between:1,9007199254740991'],
            'supervisor_badge' => ['nullable', 'string', 'max:64'],
            'request' => ['nullable', 'array:material,operation,diameter_mm,thickness_mm'],
            'request.material' => ['string', 'max:60', 'regex:/^[a-z0-9_-]+$/i'],
            'request.operation' => ['string', 'in:'.implode(',', Scope::OPERATIONS)],
            'request.diameter_mm' => ['numeric', 'gt:0', 'lt:200'],
            'request.thickness_mm' => ['numeric', 'gt:0', 'lt:2000'],
        ];
    }

    /** @return Read */
    public function read(): array
    {
        /** @var Read */
        return $this->validated();
    }
}
