<?php

declare(strict_types=1);

namespace App\Planning\Requests;

use App\Language\Speech;
use App\Measure\LengthInput;
use App\Support\Given;
use App\Workshop\Machine;
use App\Workshop\ShopAtHand;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Planning\Plan\Bench;
use MillStep\Core\Planning\Thread\Tapping;
use MillStep\Core\Policy\ShopPolicy;

/** The machine, the cribs, the material and the policy that a sequence is planned for. */
final readonly class AtMachine
{
    /** @param  list<string>  $cribs  slugs */
    private function __construct(
        private ShopAtHand $shop,
        private Machine $machine,
        private array $cribs,
        private string $material,
    ) {
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
    public static function of(array $request, ShopAtHand $shop): self
    {
        $machine = $shop->machine(Given::text($request['machine'])) ?? throw (new ModelNotFoundException)->setModel(Machine::class);
        $cribs = $shop->cribsFor($machine, Given::texts($request['cribs'] ?? null));
        if ($machine->speeds() === null) {
            throw Speech::fault('machine', 'no_speeds', ['machine' => $machine->name]);
        }
        if (! $shop->tools($cribs)->hasDrills()) {
            throw Speech::fault('cribs', 'no_drills');
        }

        return new self($shop, $machine, $cribs, Given::text($request['material']));
    }

    /** @param  ShopPolicy|null  $policy  null for the one in force */
    public function bench(?ShopPolicy $policy): Bench
    {
        return $this->shop->bench($this->machine, $this->cribs, $this->material, $policy);
    }

    /** @return array<string, Message|string> */
    public function heading(): array
    {
        return [
            'machine' => $this->machine->name,
            'cribs' => $this->shop->cribNames($this->cribs),
            'material' => $this->shop->material($this->material)?->word() ?? $this->material,
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
            "{$prefix}tapping" => ['nullable', 'in:'.implode(',', array_column(Tapping::cases(), 'value'))],
            "{$prefix}slope" => ['nullable', 'numeric', 'min:0', 'lt:45'],
            "{$prefix}head" => ['nullable', 'in:flat_slotted_or_cross,flat_socket,flat_82'],
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
        $purpose = Given::text($request["{$prefix}purpose"]);
        if (in_array($purpose, ['tapped', 'clearance', 'countersunk', 'counterbored', 'spotfaced'], true)) {
            $head = $purpose === 'countersunk' ? $typed->text("{$prefix}head") : '';
            $tapping = $purpose === 'tapped' ? $typed->text("{$prefix}tapping") : '';
            $slope = $purpose === 'spotfaced' ? $request["{$prefix}slope"] ?? null : null;

            return [
                'purpose' => $purpose,
                $purpose === 'tapped' ? 'thread' : 'fastener' => $size,
                ...($head === '' ? [] : ['head' => $head]),
                ...($tapping === '' ? [] : ['tapping' => $tapping]),
                ...(is_numeric($slope) ? ['slope_deg' => (float) $slope] : []),
            ];
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
