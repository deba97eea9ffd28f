<?php

declare(strict_types=1);

namespace App\Planning\Http;

use App\Workshop\Machine;
use App\Workshop\Policy;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Exception\CoreException;
use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;
use MillStep\Core\Measure\Size;
use MillStep\Core\Planning\HolePlan;

/** A hole as one would say it, for a machine of the shop with the crib beside it and the policy in force. */
final class HolePlanRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'machine' => ['required', 'exists:workshop_machines,slug'],
            'material' => ['required', 'string', 'max:60'],
            'thickness' => ['required', 'string', 'max:20'],
            'purpose' => ['required', 'in:plain,clearance,tapped,reamed'],
            'size' => ['required', 'string', 'max:20'],
            'through' => ['required', 'boolean'],
            'depth' => ['required_if:through,false', 'nullable', 'string', 'max:20'],
        ];
    }

    /**
     * @param  'mm'|'in'  $units  of a size that names none
     *
     * @throws ValidationException beside the field that cannot be understood
     * @throws CoreException when the hole contradicts itself
     */
    public function plan(string $units): HolePlan
    {
        $machine = Machine::query()->with('crib.tools')->where('slug', $this->string('machine')->value())->firstOrFail();
        $crib = $machine->crib?->spec() ?? ['drills' => []];
        if ($crib['drills'] === [] || $machine->speeds() === null) {
            throw ValidationException::withMessages(['machine' => "{$machine->name} has no drills or no spindle speeds on record, so nothing can be planned for it."]);
        }
        $through = $this->boolean('through');

        return HolePlan::fromFields(Fields::of([
            'material' => $this->string('material')->value(),
            'thickness_mm' => $this->length('thickness', $units),
            'hole' => [
                'purpose' => $this->string('purpose')->value(),
                'through' => $through,
                ...$this->wanted($units),
                ...($through ? [] : ['depth_mm' => $this->length('depth', $units)]),
            ],
            'machine' => $machine->spec(),
            'crib' => $crib,
            'policy' => Policy::settingsInForce(),
        ]));
    }

    /**
     * @param  'mm'|'in'  $units
     * @return array<string, string|float>
     */
    private function wanted(string $units): array
    {
        return match ($this->string('purpose')->value()) {
            'tapped' => ['thread' => $this->string('size')->value()],
            'clearance' => ['fastener' => $this->string('size')->value()],
            default => ['diameter_mm' => $this->length('size', $units)],
        };
    }

    /** @param  'mm'|'in'  $units */
    private function length(string $field, string $units): float
    {
        try {
            return Size::parse($this->string($field)->value(), $units)->diameter->inMm();
        } catch (InvalidInput $fault) {
            throw ValidationException::withMessages([$field => $fault->getMessage()]);
        }
    }
}
