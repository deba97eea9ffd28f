<?php

declare(strict_types=1);

namespace App\Content\Agree;

use App\Support\Given;
use MillStep\Core\Reference\Process;

/**
 * C2, C3 and C11: a measured line has its size from a drawing, a plan or the learner's own dimensions, or says why it is typed; no hole is
 * asked for closer than what makes it keeps; and a hole of its own is not one that an earlier sheet has drilled in that part.
 */
final class LimitsAreBound implements Rule
{
    /** Ways in which a gauge, or the drawing's own hole, has the limits. */
    private const BY_ITSELF = ['plug', 'thread', 'diameter', 'position'];

    private const BY_HAND = 'hand_drill';

    private const NOISE_MM = 1e-9;

    public function violations(Shelf $shelf): array
    {
        $found = [];
        foreach ($shelf->sheets as $code => $sheet) {
            $holes = Given::rows($shelf->holes[Given::text($sheet['part'] ?? null)] ?? null);
            $machine = Given::text($sheet['machine'] ?? null);
            $keeps = Process::all()[$machine === self::BY_HAND ? 'twist_drill_hand' : 'twist_drill_press']->keeps->inMm();
            foreach (Given::rows($sheet['criteria'] ?? null) as $line) {
                $says = static fn (string $rule, string $stands, string $disagrees): Violation => new Violation(
                    $rule, Given::text($sheet['file']), $code.' '.Given::text($line['id'] ?? null), $stands, $disagrees,
                );
                if (($line['kind'] ?? '') !== 'measured') {
                    continue;
                }
                if (! self::isBound($line)) {
                    $found[] = $says('C2', 'typed limits', 'no plan, drawing or own dimension gives them, and no reason is said');
                }
                $width = self::width($line);
                if ($width !== null && $width < $keeps - self::NOISE_MM) {
                    $found[] = $says('C3', round($width, 3).' mm wide', "drilling keeps $keeps mm");
                }
                if (self::isDrilledAlready($line, $holes, $sheet)) {
                    $found[] = $says('C11', 'a hole at that place', 'the part has one there from an earlier sheet');
                }
            }
        }

        return $found;
    }

    /** @param  array<string, mixed>  $line */
    private static function isBound(array $line): bool
    {
        return in_array($line['measure'] ?? '', self::BY_ITSELF, true) || isset($line['bound']) || isset($line['dimension'])
            || isset($line['fit']) || mb_strlen(Given::text($line['typed'] ?? null)) > 2;
    }

    /**
     * @param  array<string, mixed>  $line
     * @return float|null how far its limits lie apart, of a bore that is left as it was drilled
     */
    private static function width(array $line): ?float
    {
        $bore = ($line['measure'] ?? '') === 'size' && ($line['feature'] ?? 'bore') === 'bore' && ! isset($line['fit']);

        return $bore && is_numeric($line['plus_mm'] ?? null) && is_numeric($line['minus_mm'] ?? null)
            ? (float) $line['plus_mm'] + (float) $line['minus_mm'] : null;
    }

    /**
     * @param  array<string, mixed>  $line
     * @param  list<array<string, mixed>>  $holes
     * @param  array<string, mixed>  $sheet
     */
    private static function isDrilledAlready(array $line, array $holes, array $sheet): bool
    {
        if (! is_numeric($line['x_mm'] ?? null) || ! is_numeric($line['y_mm'] ?? null)) {
            return false;
        }
        $wide = max(0.0, ...array_map(
            static fn (array $one): float => ($one['feature'] ?? '') === 'bore' && is_numeric($one['nominal_mm'] ?? null)
                ? (float) $one['nominal_mm'] : 0.0,
            Given::rows($sheet['criteria'] ?? null),
        ));
        foreach ($holes as $hole) {
            if (! is_numeric($hole['x_mm'] ?? null) || ! is_numeric($hole['y_mm'] ?? null) || ! is_numeric($hole['diameter_mm'] ?? null)) {
                continue;
            }
            $apart = hypot((float) $line['x_mm'] - (float) $hole['x_mm'], (float) $line['y_mm'] - (float) $hole['y_mm']);
            if ($apart < ($wide + (float) $hole['diameter_mm']) / 2) {
                return true;
            }
        }

        return false;
    }
}
