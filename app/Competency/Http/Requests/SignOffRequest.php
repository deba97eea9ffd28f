<?php

declare(strict_types=1);

namespace App\Competency\Http\Requests;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use MillStep\Core\Measure\Size;
use MillStep\Core\Workshop\MaterialTable;

final class SignOffRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'uuid'],
            'pin' => ['required', 'string', 'max:12'],
            'valid_until' => ['required', 'date_format:Y-m-d', 'after:today', 'before:+5 years'],
            'materials' => ['nullable', 'array', 'min:1'],
            'materials.*' => ['string', 'in:'.implode(',', array_keys(MaterialTable::shipped()->all()))],
            'operations' => ['nullable', 'array', 'min:1'],
            'operations.*' => ['string', 'max:40'],
            'max_diameter' => ['nullable', 'string', 'max:20'],
            'companion' => ['required', 'boolean'],
        ];
    }

    /** To the end of the day named. */
    public function validUntil(): CarbonImmutable
    {
        return CarbonImmutable::parse($this->string('valid_until')->value(), 'UTC')->endOfDay()->startOfSecond();
    }

    /**
     * @return array{materials?: list<string>, operations?: list<string>, max_diameter_mm?: float, companion?: bool}
     *
     * @throws \MillStep\Core\Exception\InvalidInput when the largest hole is no size
     */
    public function scope(): array
    {
        /** @var array{materials?: list<string>|null, operations?: list<string>|null, max_diameter?: string|null} $given */
        $given = $this->validated();
        $largest = trim($given['max_diameter'] ?? '');

        return array_filter([
            'materials' => $given['materials'] ?? null,
            'operations' => $given['operations'] ?? null,
            'max_diameter_mm' => $largest === '' ? null : Size::parse($largest)->diameter->inMm(),
            'companion' => $this->boolean('companion') ? true : null,
        ], static fn ($part): bool => $part !== null);
    }
}
