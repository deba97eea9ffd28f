<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Language\Speech;
use App\Measure\LengthInput;
use Illuminate\Validation\ValidationException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Policy\PolicySettings;
use MillStep\Core\Policy\ShopPolicy;

/** Settings of the policy as they were typed: a length may be a text (3/8, 15 thou), in the writer's units where it names none. */
final readonly class TypedSettings
{
    /**
     * @param  array<string, mixed>  $given
     * @param  'mm'|'in'  $units
     * @return array<string, mixed> lengths in millimetres
     *
     * @throws ValidationException naming each setting that is at fault
     */
    public static function read(array $given, string $units): array
    {
        $known = PolicySettings::all();
        $typed = new LengthInput($given, $units);
        $settings = $given;
        $faults = [];
        foreach ($given as $key => $value) {
            if (! is_string($value) || ($known[$key]['kind'] ?? '') !== 'length') {
                continue;
            }
            try {
                $settings[$key] = $typed->coordinate($key);
            } catch (ValidationException $fault) {
                $faults += $fault->errors();
                unset($settings[$key]);
            }
        }
        $faults += array_map(Speech::say(...), ShopPolicy::faults(Fields::of($settings)));

        return $faults === [] ? $settings : throw ValidationException::withMessages($faults);
    }
}
