<?php

declare(strict_types=1);

namespace App\Workshop\Checks;

use App\Measure\LengthInput;
use Illuminate\Http\Request;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Result;
use MillStep\Core\Operations;

/** What one checks with a gauge in the hand: each is an operation of the core, of the same name. */
enum CheckKind: string
{
    case DrillGrind = 'drill_grind_check';
    case Tram = 'tram_check';
    case RunOut = 'run_out_check';
    case Tailstock = 'tailstock_check';
    case TaperFit = 'taper_fit_check';
    case PinPlace = 'pin_place';
    case PinSize = 'pin_size';

    /** @return 'machine'|'tool'|null what a check is kept with; a workpiece is measured and gone */
    public function of(): ?string
    {
        return match ($this) {
            self::DrillGrind => 'tool',
            self::Tram, self::RunOut, self::Tailstock, self::TaperFit => 'machine',
            self::PinPlace, self::PinSize => null,
        };
    }

    /** @return array<string, 'length'|'length?'|'reading'|'degrees'|'over_or_between'> how each of its fields is typed */
    public function fields(): array
    {
        return match ($this) {
            self::DrillGrind => [
                'diameter' => 'length', 'lip_a' => 'length', 'lip_b' => 'length', 'angle_a' => 'degrees', 'angle_b' => 'degrees',
                'point_angle' => 'degrees',
            ],
            self::Tram => ['reading_a' => 'reading', 'reading_b' => 'reading', 'swing' => 'length'],
            self::RunOut => ['least' => 'reading', 'most' => 'reading'],
            self::Tailstock => ['at_head' => 'length', 'at_tail' => 'length', 'apart' => 'length', 'length' => 'length?'],
            self::TaperFit => ['taper_length' => 'length', 'at_large' => 'reading', 'at_small' => 'reading'],
            self::PinPlace => [
                'of' => 'over_or_between', 'reading' => 'length', 'pin_a' => 'length', 'pin_b' => 'length?', 'hole_a' => 'length?',
                'hole_b' => 'length?', 'nominal' => 'length?', 'within' => 'length?', 'uncertainty' => 'length?',
            ],
            self::PinSize => ['go' => 'length', 'no_go' => 'length', 'lower' => 'length?', 'upper' => 'length?'],
        };
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return array_map(static fn (string $typed): array => match ($typed) {
            'length?' => ['nullable', 'string', 'max:20'],
            'degrees' => ['required', 'numeric', 'between:10,160'],
            'over_or_between' => ['required', 'in:over,between'],
            default => ['required', 'string', 'max:20'],
        }, $this->fields());
    }

    /**
     * As the core reads it.
     *
     * @param  'mm'|'in'  $units
     * @return array<string, float|string>
     */
    public function given(Request $request, string $units): array
    {
        $typed = new LengthInput($request, $units);
        $given = [];
        foreach ($this->fields() as $field => $as) {
            $value = match ($as) {
                'length' => $typed->length($field),
                'length?' => $typed->lengthOrNull($field),
                'reading' => $typed->coordinate($field),
                'degrees' => $request->float($field),
                'over_or_between' => $request->string($field)->value(),
            };
            if ($value !== null) {
                $given[match ($as) {
                    'degrees' => "{$field}_deg",
                    'over_or_between' => $field,
                    default => "{$field}_mm",
                }] = $value;
            }
        }

        return $given;
    }

    /**
     * @param  array<string, mixed>  $given
     *
     * @throws CoreException
     */
    public function compute(array $given): Result
    {
        return Operations::compute($this->value, $given);
    }
}
