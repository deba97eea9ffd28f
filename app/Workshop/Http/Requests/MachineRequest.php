<?php

declare(strict_types=1);

namespace App\Workshop\Http\Requests;

use App\Language\Sentences;
use App\Measure\LengthInput;
use App\People\User;
use App\Support\Given;
use App\Workshop\Machine;
use Illuminate\Foundation\Http\FormRequest;
use MillStep\Core\Workshop\MachineSpec;

/** A machine as its form has it: lengths as they are typed, speeds as a list or a range. */
final class MachineRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'kind' => ['required', 'in:'.implode(',', MachineSpec::KINDS)],
            'cribs' => ['present', 'array'],
            'cribs.*' => ['string', 'exists:workshop_cribs,slug'],
            'speeds' => ['nullable', 'string', 'max:400'],
            'speed_names' => ['nullable', 'string', 'max:600'],
            'min_rpm' => ['nullable', 'numeric', 'gt:0', 'max:60000'],
            'max_rpm' => ['nullable', 'numeric', 'gt:0', 'max:60000', 'gte:min_rpm'],
            'speed_change' => ['nullable', 'in:'.implode(',', MachineSpec::SPEED_CHANGES)],
            'scale_unit' => ['nullable', 'in:mm,in'],
            'scale_graduation' => ['nullable', 'string', 'max:20', 'required_with:scale_unit'],
            'scale_travel' => ['nullable', 'string', 'max:20'],
            'chuck_max' => ['nullable', 'string', 'max:20'],
            'through_bore' => ['nullable', 'string', 'max:20'],
            'dial_graduation' => ['nullable', 'string', 'max:20'],
            'dial_divisions' => ['nullable', 'integer', 'min:1', 'max:10000'],
            'cross_graduation' => ['nullable', 'string', 'max:20'],
            'cross_divisions' => ['nullable', 'integer', 'min:1', 'max:10000'],
            'cross_reads_diameter' => ['nullable', 'boolean'],
            'fastest_belt' => ['nullable', 'in:'.implode(',', MachineSpec::BELTS)],
            'reverses' => ['nullable', 'boolean'],
            'taper' => ['nullable', 'integer', 'min:0', 'max:6'],
            'stop' => ['nullable', 'string', 'max:120'],
            'isolator' => ['nullable', 'string', 'max:120'],
            'brake' => ['nullable', 'string', 'max:120'],
            'locks' => ['nullable', 'string', 'max:120'],
            'wording_only' => ['sometimes', 'boolean'],
            'language' => ['sometimes', 'required', 'in:'.implode(',', Sentences::LANGUAGES)],
        ];
    }

    /** @return list<string> slugs */
    public function cribs(): array
    {
        return Given::texts($this->array('cribs'));
    }

    /** @return array<string, mixed> the machine's FIELDS */
    public function fields(User $user): array
    {
        $typed = new LengthInput($this, $user->units);
        $speeds = $this->list('speeds');

        return [
            ...array_fill_keys(Machine::FIELDS, null),
            ...Given::fields($this->safe(['name', 'kind', 'speed_change', 'fastest_belt', 'taper', 'language', 'stop', 'isolator', 'brake',
                'locks'])),
            'speeds_rpm' => $speeds === []
                ? null
                : array_map(static fn (string $rpm): float|string => is_numeric($rpm) ? (float) $rpm : $rpm, $speeds),
            'speed_names' => $this->list('speed_names') === [] ? null : $this->list('speed_names'),
            'min_rpm' => $speeds === [] ? $this->number('min_rpm') : null,
            'max_rpm' => $speeds === [] ? $this->number('max_rpm') : null,
            'depth_scale' => $this->filled('scale_unit') ? array_filter([
                'unit' => $this->string('scale_unit')->value(),
                'graduation_mm' => $typed->length('scale_graduation'),
                'travel_mm' => $typed->lengthOrNull('scale_travel'),
            ], static fn (mixed $value): bool => $value !== null) : null,
            'reverses' => $this->filled('reverses') ? $this->boolean('reverses') : null,
            'chuck_max_mm' => $typed->lengthOrNull('chuck_max'),
            'through_bore_mm' => $typed->lengthOrNull('through_bore'),
            'dial' => $this->dial($typed, 'dial', false),
            'cross_dial' => $this->dial($typed, 'cross', $this->boolean('cross_reads_diameter')),
        ];
    }

    /** @return array{graduation_mm: float, divisions_per_turn: int, reads_diameter: bool}|null */
    private function dial(LengthInput $typed, string $name, bool $readsDiameter): ?array
    {
        return $this->filled("{$name}_graduation")
            ? [
                'graduation_mm' => $typed->length("{$name}_graduation"),
                'divisions_per_turn' => $this->integer("{$name}_divisions", 100),
                'reads_diameter' => $readsDiameter,
            ]
            : null;
    }

    private function number(string $key): ?float
    {
        return $this->filled($key) ? $this->float($key) : null;
    }

    /** @return list<string> parts divided by commas */
    private function list(string $key): array
    {
        return array_values(
            array_filter(
                array_map(trim(...), preg_split('/[,;]/', $this->string($key)->value()) ?: []),
                static fn (string $part): bool => $part !== '',
            ),
        );
    }
}
