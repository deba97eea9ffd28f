<?php

declare(strict_types=1);

namespace App\Content\Agree;

use App\Support\Given;

/** B3, as far as drilling goes: what a permit lets somebody ream or tap, it or one that it builds on lets them drill first. */
final class CanBeDrilledFirst implements Rule
{
    private const AFTER_A_DRILL = ['ream', 'tap'];

    /** The most that is left for a reamer, mm on the diameter; a tap leaves more. */
    private const LEFT_MM = 0.3;

    public function violations(Shelf $shelf): array
    {
        $found = [];
        foreach ($shelf->permits as $code => $permit) {
            $scope = Given::fields($permit['scope'] ?? null);
            foreach (array_intersect(self::AFTER_A_DRILL, Given::texts($scope['operations'] ?? null)) as $operation) {
                foreach (Given::texts($scope['materials'] ?? null) as $material) {
                    $drilled = self::drilled($shelf, $code, $material);
                    $needed = self::largest($scope) - self::LEFT_MM;
                    if ($drilled < $needed) {
                        $found[] = new Violation(
                            'B3', Given::text($permit['file']), "$code $operation $material", "needs a hole of $needed mm",
                            $drilled > 0 ? "what it builds on drills to $drilled mm" : 'nothing that it builds on drills in it',
                        );
                    }
                }
            }
        }

        return $found;
    }

    /** How large a hole may be drilled in a material by whoever has a permit and all that it builds on. */
    private static function drilled(Shelf $shelf, string $permit, string $material): float
    {
        $largest = 0.0;
        foreach ($shelf->below($permit) as $code) {
            $scope = Given::fields($shelf->permits[$code]['scope'] ?? null);
            if (in_array('drill', Given::texts($scope['operations'] ?? null), true)
                && in_array($material, Given::texts($scope['materials'] ?? null), true)) {
                $largest = max($largest, self::largest($scope));
            }
        }

        return $largest;
    }

    /** @param  array<string, mixed>  $scope */
    private static function largest(array $scope): float
    {
        $mm = $scope['max_diameter_mm'] ?? null;

        return is_int($mm) || is_float($mm) ? (float) $mm : INF;
    }
}
