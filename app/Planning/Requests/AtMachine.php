<?php

declare(strict_types=1);

namespace App\Planning\Requests;

use App\Language\Speech;
use App\Measure\LengthInput;
use App\Workshop\Crib;
use App\Workshop\Machine;
use App\Workshop\MaterialRow;
use App\Workshop\Policy;
use App\Workshop\ToolsAtHand;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Hole\HoleRequest;

/** The machine, the cribs, the material and the policy that a sequence is planned for. */
final readonly class AtMachine
{
    private function __construct(public Machine $machine, public ToolsAtHand $tools, private string $cribNames, private string $material)
    {
    }

    /** @return array<string, list<mixed>> */
    public static function rules(): array
    {
        return [
            'machine' => ['required', 'string', 'exists:workshop_machines,slug'],
            'cribs' => ['nullable', 'array'],
            'cribs.*' => ['string', 'exists:workshop_cribs,slug'],
            'material' => ['required', 'string', 'max:60'],
        ];
    }

    /**
     * @param  array<string, mixed>  $request  without cribs those beside the machine
     *
     * @throws ValidationException when nothing can be planned with them
     */
    public static function of(array $request): self
    {
        $machine = Machine::query()->with('cribs.tools')->where('slug', $request['machine'])->firstOrFail();
        $chosen = ($request['cribs'] ?? []) === []
            ? $machine->cribs
            : Crib::query()->with('tools')->whereIn('slug', $request['cribs'])->orderBy('id')->get();
        $tools = ToolsAtHand::of($chosen);
        if ($machine->speeds() === null) {
            throw Speech::fault('machine', 'no_speeds', ['machine' => $machine->name]);
        }
        if (! $tools->hasDrills()) {
            throw Speech::fault('cribs', 'no_drills');
        }

        return new self($machine, $tools, $chosen->pluck('name')->implode(', '), (string) $request['material']);
    }

    /**
     * @param  array<string, mixed>|null  $policy
     * @return array<string, mixed> what every plan of the core is given
     */
    public function forCore(?array $policy): array
    {
        return [
            'material' => MaterialRow::forCore($this->material),
            'machine' => $this->machine->spec(),
            'crib' => $this->tools->spec(),
            'policy' => $policy ?? Policy::settingsInForce(),
        ];
    }

    /** @return array<string, Message|string> */
    public function heading(): array
    {
        return [
            'machine' => $this->machine->name,
            'cribs' => $this->cribNames,
            'material' => MaterialRow::of($this->material)?->word() ?? $this->material,
        ];
    }

    /** @return array<string, list<mixed>> of a hole, each key led by what it belongs to */
    public static function holeRules(string $prefix = '', bool $optional = false): array
    {
        return [
            "{$prefix}purpose" => [
                $optional ? 'nullable' : 'required',
                'in:'.implode(',', HoleRequest::PURPOSES).($optional ? ',none' : ''),
            ],
            "{$prefix}size" => [$optional ? 'nullable' : 'required', 'string', 'max:20'],
            "{$prefix}fit" => ['nullable', 'string', 'max:5'],
            "{$prefix}reamer" => ['nullable', 'in:hand,machine'],
        ];
    }

    /**
     * A hole's wish for the core. `8 H7` is a size with its class.
     *
     * @param  array<string, mixed>  $request
     * @return array<string, string|float>
     *
     * @throws ValidationException
     */
    public static function hole(array $request, LengthInput $typed, string $prefix = ''): array
    {
        $size = $typed->text("{$prefix}size");
        $fit = $typed->text("{$prefix}fit");
        $purpose = (string) $request["{$prefix}purpose"];
        if ($purpose === 'tapped' || $purpose === 'clearance') {
            return ['purpose' => $purpose, $purpose === 'tapped' ? 'thread' : 'fastener' => $size];
        }
        $hole = $typed->hole("{$prefix}size");
        if ($fit !== '' && $hole->fit !== null && $fit !== $hole->fit) {
            throw Speech::fault("{$prefix}fit", 'two_fits', ['size' => $size, 'fit' => $fit]);
        }
        $fit = $hole->fit ?? $fit;
        $reamer = $purpose === 'reamed' ? $typed->text("{$prefix}reamer") : '';

        return [
            'purpose' => $purpose,
            'diameter_mm' => $hole->size->diameter->inMm(),
            ...($fit === '' ? [] : ['fit' => $fit]),
            ...($reamer === '' ? [] : ['reamer' => $reamer]),
        ];
    }
}
