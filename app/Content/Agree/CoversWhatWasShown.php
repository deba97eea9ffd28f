<?php

declare(strict_types=1);

namespace App\Content\Agree;

use App\Support\Given;
use MillStep\Core\Assessment\Variant;
use MillStep\Core\Competency\Scope;
use MillStep\Core\Competency\ShownWork;

/**
 * B1 and B2: whatever a permit can be signed for, some sheet of it, or of a permit that it builds on, shows on one of its pieces: each
 * operation in each material, up to the largest diameter.
 */
final class CoversWhatWasShown implements Rule
{
    public function violations(Shelf $shelf): array
    {
        $found = [];
        foreach ($shelf->permits as $code => $permit) {
            $shown = [];
            foreach ($shelf->below($code) as $each) {
                foreach ($shelf->sheetsOf($each) as $sheet) {
                    array_push($shown, ...self::shows($shelf, $shelf->sheets[$sheet] ?? []));
                }
            }
            foreach (ShownWork::fromRows($shown)->lacks(Scope::fromRow(Given::fields($permit['scope'] ?? null))) as $pair) {
                $found[] = new Violation(
                    'B1-B2', Given::text($permit['file']), "$code {$pair['operation']} {$pair['material']}",
                    "{$pair['operation']} in {$pair['material']} can be signed", 'no sheet shows it',
                );
            }
        }

        return $found;
    }

    /**
     * @param  array<string, mixed>  $sheet
     * @return list<array<string, mixed>> what it shows on any of its pieces
     */
    private static function shows(Shelf $shelf, array $sheet): array
    {
        $lines = Given::rows($sheet['criteria'] ?? null);
        $pieces = Given::rows($sheet['variants'] ?? null)
            ?: [['key' => 'part', 'material' => $shelf->materials[Given::text($sheet['part'] ?? null)] ?? '']];
        $shown = [];
        foreach ($pieces as $piece) {
            $variant = Variant::fromRow($piece);
            array_push($shown, ...Variant::shows($variant->of($lines), $variant->material));
        }

        return $shown;
    }
}
