<?php

declare(strict_types=1);

namespace App\Planning\Requests;

use App\Measure\LengthInput;
use App\Planning\PlanKind;
use App\Planning\Planned;
use App\Workshop\ShopAtHand;
use Illuminate\Validation\Rule;
use MillStep\Core\Border\Fields;
use MillStep\Core\Planning\Lathe\LatheSupport;
use MillStep\Core\Planning\Plan\HolePlan;
use MillStep\Core\Planning\Plan\SectionDrawing;
use MillStep\Core\Policy\ShopPolicy;
use MillStep\Core\Workshop\Holding\Workholding;

/** One hole, at a drill press or on a lathe. */
final readonly class HolePlanRequest implements PlanRequest
{
    /** @param  array<string, mixed>  $request */
    private function __construct(private array $request, private LengthInput $typed)
    {
    }

    public static function rules(): array
    {
        return [
            ...AtMachine::rules(),
            ...AtMachine::holeRules(),
            'thickness' => ['required', 'string', 'max:20'],
            'through' => ['required', 'boolean'],
            'depth' => ['required_if:through,false', 'nullable', 'string', 'max:20'],
            'position_tolerance' => ['nullable', 'string', 'max:20'],
            'holding' => ['nullable', Rule::in(array_keys(Workholding::all()))],
            'lever' => ['nullable', 'string', 'max:20'],
            'work_diameter' => ['nullable', 'string', 'max:20'],
            'work_width' => ['nullable', 'string', 'max:20'],
            'overhang' => ['nullable', 'string', 'max:20'],
            'support' => ['nullable', Rule::enum(LatheSupport::class)],
        ];
    }

    public static function of(array $request, string $units): self
    {
        return new self($request, new LengthInput($request, $units));
    }

    public function plan(ShopAtHand $shop, ?ShopPolicy $policy = null): Planned
    {
        $at = AtMachine::of($this->request, $shop);
        $through = (bool) $this->request['through'];
        $lengths = array_filter(
            [
                'lever_mm' => 'lever', 'work_diameter_mm' => 'work_diameter', 'work_width_mm' => 'work_width',
                'overhang_mm' => 'overhang',
            ],
            fn (string $field): bool => $this->typed->text($field) !== '',
        );
        $wanted = HolePlan::on($at->bench($policy), Fields::of([
            'thickness_mm' => $this->typed->length('thickness'),
            'hole' => [
                ...AtMachine::hole($this->request, $this->typed),
                'through' => $through,
                ...($through ? [] : ['depth_mm' => $this->typed->length('depth')]),
                ...($this->typed->text('position_tolerance') === ''
                    ? []
                    : ['position_tolerance_mm' => $this->typed->length('position_tolerance')]),
            ],
            ...array_map($this->typed->length(...), $lengths),
            ...array_filter(
                array_intersect_key($this->request, ['holding' => 0, 'support' => 0]),
                static fn (mixed $value): bool => is_string($value) && $value !== '',
            ),
        ]));
        $result = $wanted->compute();

        return new Planned(
            PlanKind::Hole,
            $result,
            SectionDrawing::of($result, $wanted->thickness->inMm(), $through),
            [...$at->heading(), 'what' => $wanted->hole->describe()],
            $wanted->machine,
        );
    }
}
