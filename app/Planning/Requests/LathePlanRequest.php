<?php

declare(strict_types=1);

namespace App\Planning\Requests;

use App\Measure\LengthInput;
use App\Planning\PlanKind;
use App\Planning\Planned;
use App\Support\Given;
use App\Workshop\ShopAtHand;
use Illuminate\Validation\Rule;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Lathe\LatheSupport;
use MillStep\Core\Planning\Plan\BatchDrawing;
use MillStep\Core\Planning\Plan\LathePlan;
use MillStep\Core\Planning\Plan\PlanResult;
use MillStep\Core\Planning\Stock\ClassBars;
use MillStep\Core\Policy\ShopPolicy;

/** A batch of rings or bushes from one bar, or one piece at its end; and bars for a whole class. */
final readonly class LathePlanRequest implements PlanRequest
{
    private const LENGTHS = [
        'blade_mm' => 'blade', 'cleanup_mm' => 'cleanup', 'facing_mm' => 'facing',
        'jaw_clearance_mm' => 'jaw_clearance', 'max_cut_mm' => 'max_cut', 'finish_cut_mm' => 'finish_cut',
        'overhang_mm' => 'overhang',
    ];

    /** @param  array<string, mixed>  $request */
    private function __construct(private array $request, private LengthInput $typed)
    {
    }

    public static function rules(): array
    {
        return [
            ...AtMachine::rules(),
            ...AtMachine::holeRules('bore_', optional: true),
            'bar' => ['required', 'string', 'max:20'],
            'thickness' => ['required', 'string', 'max:20'],
            'outside' => ['nullable', 'string', 'max:20'],
            'bore_through' => ['nullable', 'boolean'],
            'bore_depth' => ['nullable', 'string', 'max:20'],
            'count' => ['required', 'integer', 'min:1', 'max:200'],
            'part_off' => ['required', 'boolean'],
            'support_centre' => ['required', 'boolean'],
            'support' => ['nullable', Rule::enum(LatheSupport::class)],
            ...array_fill_keys(array_values(self::LENGTHS), ['nullable', 'string', 'max:20']),
            'learners' => ['nullable', 'integer', 'min:1', 'max:500'],
            'kerf' => ['nullable', 'string', 'max:20'],
        ];
    }

    public static function of(array $request, string $units): self
    {
        return new self($request, new LengthInput($request, $units));
    }

    public function plan(ShopAtHand $shop, ?ShopPolicy $policy = null): Planned
    {
        $at = AtMachine::of($this->request, $shop);
        $lengths = array_filter(self::LENGTHS, fn (string $field): bool => $this->typed->text($field) !== '');
        $bores = ! in_array($this->request['bore_purpose'] ?? null, [null, 'none'], true);
        $wanted = LathePlan::on($at->bench($policy), Fields::of([
            'bar' => ['diameter_mm' => $this->typed->length('bar')],
            'part' => [
                'thickness_mm' => $this->typed->length('thickness'),
                ...($this->typed->text('outside') === '' ? [] : ['outside_mm' => $this->typed->length('outside')]),
                ...($bores ? ['bore' => $this->bore()] : []),
                'part_off' => (bool) $this->request['part_off'],
                'support_centre' => (bool) $this->request['support_centre'],
            ],
            'count' => Given::whole($this->request['count']),
            // An allowance may be nothing at all.
            ...array_map($this->typed->coordinate(...), $lengths),
            'support' => $this->typed->text('support') === '' ? 'none' : $this->typed->text('support'),
        ]));
        $result = $wanted->compute();

        return new Planned(
            PlanKind::Lathe,
            $result,
            BatchDrawing::of($wanted, $result),
            [...$at->heading(), 'what' => self::describe($wanted)],
            $wanted->machine,
            ['bars' => $this->bars($result, $shop)?->toArray()],
        );
    }

    /** @return array<string, mixed> */
    private function bore(): array
    {
        $through = (bool) ($this->request['bore_through'] ?? true);

        return [
            ...AtMachine::hole($this->request, $this->typed, 'bore_'),
            'through' => $through,
            ...($through ? [] : ['depth_mm' => $this->typed->length('bore_depth')]),
        ];
    }

    private function bars(PlanResult $result, ShopAtHand $shop): ?ClassBars
    {
        $learners = Given::whole($this->request['learners'] ?? 0);
        $blank = $result->batch['blank_mm'] ?? null;
        if ($learners === 0 || ! is_float($blank)) {
            return null;
        }

        return ClassBars::of(
            Length::mm($blank),
            $learners,
            Length::mm($this->typed->lengthOrNull('kerf') ?? 2.0),
            $shop->bars(Given::text($this->request['material']), $this->typed->length('bar')),
        );
    }

    private static function describe(LathePlan $wanted): Message
    {
        return Message::of('planning.batch', ['list' => array_values(array_filter([
            $wanted->count > 1 ? Message::of('planning.pieces', ['count' => $wanted->count]) : null,
            Message::of('planning.round', [
                'diameter_mm' => ($wanted->outside ?? $wanted->bar)->inMm(), 'length_mm' => $wanted->thickness->inMm(),
            ]),
            $wanted->bore?->describe(),
            $wanted->supportCentre ? Message::of('planning.centre_to_carry') : null,
        ]))]);
    }
}
