<?php

declare(strict_types=1);

namespace App\Planning\Requests;

use App\Language\Speech;
use App\Measure\LengthInput;
use App\Planning\PlanKind;
use App\Planning\Planned;
use App\Support\Given;
use App\Workshop\ShopAtHand;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Layout\LayoutDrawing;
use MillStep\Core\Planning\Layout\LayoutPlan;
use MillStep\Core\Policy\ShopPolicy;

/** The holes of a plate, as they are marked out. */
final readonly class LayoutPlanRequest implements PlanRequest
{
    /** @param  array<string, mixed>  $request */
    private function __construct(private array $request, private LengthInput $typed)
    {
    }

    public static function rules(): array
    {
        $length = ['nullable', 'string', 'max:20'];

        return [
            'length' => ['required', 'string', 'max:20'],
            'width' => ['required', 'string', 'max:20'],
            'hole' => ['required', 'string', 'max:20'],
            'datum' => ['required', 'in:corner,centre'],
            'pattern' => ['required', Rule::in(LayoutPlan::PATTERNS)],
            'by' => ['required', 'in:count,pitch'],
            'count' => ['nullable', 'integer', 'min:1', 'max:400'],
            'rows' => ['nullable', 'integer', 'min:1', 'max:100'],
            'pitch' => $length, 'pitch_y' => $length, 'inset' => $length, 'inset_y' => $length, 'offset' => $length,
            'circle' => $length, 'start_deg' => ['nullable', 'numeric', 'between:-360,360'], 'centre_x' => $length, 'centre_y' => $length,
            'middle' => ['nullable', 'boolean'],
            'points' => ['nullable', 'string', 'max:2000'],
            'setting' => ['required', Rule::in(LayoutPlan::SETTINGS)],
            'graduation' => $length,
            'crib' => ['nullable', 'string', 'exists:workshop_cribs,slug'],
        ];
    }

    public static function of(array $request, string $units): self
    {
        return new self($request, new LengthInput($request, $units));
    }

    public function plan(ShopAtHand $shop, ?ShopPolicy $policy = null): Planned
    {
        $pattern = Given::text($this->request['pattern']);
        $parallels = $this->typed->text('crib') === '' ? [] : $shop->tools([$this->typed->text('crib')])->parallels();
        $wanted = LayoutPlan::fromFields(Fields::of([
            'plate' => ['length_mm' => $this->typed->length('length'), 'width_mm' => $this->typed->length('width')],
            'hole_mm' => $this->typed->length('hole'),
            'edge_ratio' => ($policy ?? $shop->policy())->edgeRatio,
            'datum' => $this->request['datum'],
            'pattern' => $pattern,
            $pattern => $this->pattern($pattern),
            'setting' => $this->request['setting'],
            ...($this->typed->text('graduation') === '' ? [] : ['rule_graduation_mm' => $this->typed->length('graduation')]),
            ...($parallels === [] ? [] : ['parallels' => $parallels]),
        ]));
        $result = $wanted->compute();

        return new Planned(PlanKind::Layout, $result, LayoutDrawing::of($wanted, $result), [
            'what' => Message::of('planning.holes_on_plate', [
                'count' => $result->count,
                'hole_mm' => $wanted->hole->inMm(),
                'length_mm' => $wanted->length->inMm(),
                'width_mm' => $wanted->width->inMm(),
            ]),
        ]);
    }

    /** @return array<array-key, mixed> */
    private function pattern(string $pattern): array
    {
        $byPitch = $this->request['by'] === 'pitch';

        return match ($pattern) {
            'line' => [
                'mode' => $byPitch ? 'from_centre' : 'fit_count',
                ...$this->lengths(
                    $byPitch ? ['pitch_mm' => 'pitch', 'offset_mm' => 'offset'] : ['end_inset_mm' => 'inset', 'offset_mm' => 'offset'],
                ),
                ...$this->counts($byPitch ? [] : ['count' => 'count']),
            ],
            'circle' => [
                ...$this->lengths(['circle_mm' => 'circle']), ...$this->counts(['count' => 'count']),
                ...array_map(
                    $this->typed->coordinate(...),
                    array_filter(
                        ['centre_x_mm' => 'centre_x', 'centre_y_mm' => 'centre_y'],
                        fn (string $field): bool => $this->typed->text($field) !== '',
                    ),
                ),
                'start_deg' => Given::number($this->request['start_deg'] ?? 0), 'middle' => (bool) ($this->request['middle'] ?? false),
            ],
            'rectangle' => [
                'mode' => $byPitch ? 'from_centre' : 'fit_count',
                ...$this->lengths(
                    $byPitch ? ['pitch_x_mm' => 'pitch', 'pitch_y_mm' => 'pitch_y'] : ['inset_x_mm' => 'inset', 'inset_y_mm' => 'inset_y'],
                ),
                ...$this->counts(['columns' => 'count', 'rows' => 'rows']), 'middle' => (bool) ($this->request['middle'] ?? false),
            ],
            default => $this->points(),
        };
    }

    /**
     * @param  array<string, string>  $fields  of the core, by the field that was typed
     * @return array<string, float>
     */
    private function lengths(array $fields): array
    {
        return array_map(
            $this->typed->length(...),
            array_filter($fields, fn (string $field): bool => $this->typed->text($field) !== '' || ! in_array($field, ['offset'], true)),
        );
    }

    /**
     * @param  array<string, string>  $fields
     * @return array<string, int>
     */
    private function counts(array $fields): array
    {
        return array_map(
            fn (string $field): int => $this->typed->text($field) === '' ? throw Speech::fault($field, 'how_many')
                : (int) $this->typed->text($field),
            $fields,
        );
    }

    /**
     * One point a line: `15, 20` or `15; 20`.
     *
     * @return list<array{x_mm: float, y_mm: float}>
     */
    private function points(): array
    {
        $points = [];
        foreach (array_filter(array_map(trim(...), explode("\n", $this->typed->text('points'))),
            static fn (string $line): bool => $line !== '') as $number => $line) {
            $parts = preg_split('/\s*[;\t]\s*|\s*,\s+|\s+(?=[-\d.])/', $line) ?: [];
            if (count($parts) !== 2) {
                throw Speech::fault('points', 'no_point', ['line' => $number + 1, 'said' => Message::quote($line, 30)]);
            }
            $typed = new LengthInput(['points' => $parts[0], 'y' => $parts[1]], $this->typed->units);
            try {
                $points[] = ['x_mm' => $typed->coordinate('points'), 'y_mm' => $typed->coordinate('y')];
            } catch (ValidationException $fault) {
                throw Speech::fault('points', 'point_line', ['line' => $number + 1, 'fault' => $fault->getMessage()]);
            }
        }

        return $points !== []
            ? $points
            : throw Speech::fault('points', 'no_points');
    }
}
