<?php

declare(strict_types=1);

namespace App\Competency\Http\Requests;

use App\Measure\LengthInput;
use App\Policy\Policy;
use App\Workshop\MaterialRow;
use Illuminate\Foundation\Http\FormRequest;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Scope;

final class SignOffRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'uuid'],
            'pin' => ['required', 'string', 'max:12'],
            'valid_until' => ['bail', 'required', 'string', 'date_format:Y-m-d'],
            'materials' => ['nullable', 'array', 'min:1', 'max:200'],
            'materials.*' => ['string', 'in:'.implode(',', array_keys(MaterialRow::everything()))],
            'operations' => ['nullable', 'array', 'min:1', 'max:20'],
            'operations.*' => ['string', 'in:'.implode(',', Scope::OPERATIONS)],
            'max_diameter' => ['nullable', 'string', 'max:20'],
            'min_thickness' => ['nullable', 'string', 'max:20'],
            'companion' => ['required', 'boolean'],
        ];
    }

    /** To the end of the day named, in the shop. */
    public function validUntil(): \DateTimeImmutable
    {
        return Policy::inForce()->hours->endOfDate($this->string('valid_until')->value());
    }

    /**
     * What the instructor wants to sign, lengths read in their own units.
     *
     * @param  'mm'|'in'  $units
     *
     * @throws \Illuminate\Validation\ValidationException beside the length that is no size
     */
    public function wanted(string $units): Scope
    {
        /** @var array{materials?: list<string>|null, operations?: list<string>|null} $given */
        $given = $this->validated();
        $typed = new LengthInput($this, $units);

        return Scope::fromFields(Fields::of(array_filter([
            'materials' => $given['materials'] ?? null,
            'operations' => $given['operations'] ?? null,
            'max_diameter_mm' => $typed->lengthOrNull('max_diameter'),
            'min_thickness_mm' => $typed->lengthOrNull('min_thickness'),
            'companion' => $this->boolean('companion') ? true : null,
        ], static fn ($part): bool => $part !== null)));
    }
}
