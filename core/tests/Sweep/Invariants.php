<?php

declare(strict_types=1);

namespace MillStep\Core\Tests\Sweep;

use App\Language\Sentences;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Operations;
use MillStep\Core\Planning\Step\Pilots;

/** What must hold of every plan, whatever was asked for. */
final class Invariants
{
    private const EPSILON = 1e-6;

    /**
     * @param  array{op: string, input: array<string, mixed>}  $job
     * @return array{planned: bool, ready: bool, faults: list<string>}
     */
    public static function check(array $job): array
    {
        try {
            $plan = json_decode(json_encode(Operations::compute($job['op'], $job['input'])->toArray(), JSON_THROW_ON_ERROR), true);
        } catch (CoreException) {
            // A wish that contradicts itself is refused by name.
            return ['planned' => false, 'ready' => false, 'faults' => []];
        }
        $faults = self::words($plan);
        foreach ($plan['missing'] as $missing) {
            array_push($faults, ...self::recommends($job, $missing));
        }
        array_push($faults, ...self::eyesAndSpeeds($job, $plan));
        if ($plan['ready']) {
            array_push(
                $faults,
                ...self::review($plan),
                ...self::speeds($job, $plan),
                ...self::depths($job, $plan),
                ...self::tools($job, $plan),
            );
        }

        return ['planned' => true, 'ready' => $plan['ready'], 'faults' => array_values(array_unique($faults))];
    }

    /** @return list<string> every sentence can be said in both languages, with nothing left open */
    private static function words(mixed $value): array
    {
        if (! is_array($value)) {
            return [];
        }
        if (array_keys($value) === ['code', 'terms'] && is_string($value['code'])) {
            $faults = [];
            foreach (Sentences::LANGUAGES as $language) {
                $said = Sentences::in($language)->sayCode($value['code'], $value['terms']);
                if ($said === '' || preg_match('/\{\w+\}|(^|[\s"])(planning|setup|workshop|policy)\.[a-z_.]+/', $said) === 1) {
                    $faults[] = "no words in $language for {$value['code']}: $said";
                }
            }

            return $faults;
        }

        return array_merge([], ...array_map(self::words(...), array_values($value)));
    }

    /** @return list<string> the plan's own setups have nothing against them */
    private static function review(array $plan): array
    {
        $faults = [];
        foreach ($plan['setups'] as $setup) {
            $review = Operations::compute('setup_review', array_filter($setup, static fn (mixed $value): bool => $value !== null));
            foreach (json_decode(json_encode($review->toArray(), JSON_THROW_ON_ERROR), true)['findings'] as $finding) {
                if ($finding['severity'] !== 'note') {
                    $faults[] = "its own review says {$finding['code']} of the {$setup['tool']}: "
                        .Sentences::in('en')->sayCode($finding['reason']['code'], $finding['reason']['terms']);
                }
            }
        }

        return $faults;
    }

    /** @return list<string> what is recommended in the place of something holds */
    private static function recommends(array $job, array $missing): array
    {
        $instead = $missing['terms']['instead'] ?? null;
        if ($job['op'] !== 'hole_plan' || ! isset($instead['terms']['lever_mm'], $instead['terms']['holding']['code'])) {
            return [];
        }
        $method = str_replace('workshop.holding.', '', $instead['terms']['holding']['code']);
        $again = json_decode(json_encode(Operations::compute('hole_plan', [
            ...$job['input'], 'holding' => $method, 'lever_mm' => $instead['terms']['lever_mm'],
        ])->toArray(), JSON_THROW_ON_ERROR), true);

        return ($again['holding']['verdict'] ?? null) === 'holds' ? [] : ["recommends $method, which does not hold"];
    }

    /** @return list<string> eye protection, and how the speed is changed, before everything that turns */
    private static function eyesAndSpeeds(array $job, array $plan): array
    {
        $faults = [];
        $rpm = null;
        $state = $job['input']['machine']['speed_change'] ?? 'stopped_and_isolated';
        foreach ($plan['operations'] as $step) {
            if (! isset($step['rpm'])) {
                continue;
            }
            if (! in_array('eyes', $step['standing'] ?? [], true)) {
                $faults[] = "{$step['kind']} without eye protection before it";
            }
            $set = in_array("planning.caution.set_speed_$state", array_column($step['cautions'], 'code'), true);
            if ($set !== ($step['rpm'] !== $rpm)) {
                $faults[] = "{$step['kind']} at {$step['rpm']} rpm after ".($rpm ?? 'none').' '
                    .($set ? 'with' : 'without').' a change of speed';
            }
            $rpm = $step['rpm'];
        }

        return $faults;
    }

    /** @return list<string> speeds that the machine has and the tool bears */
    private static function speeds(array $job, array $plan): array
    {
        $machine = $job['input']['machine'];
        $faults = [];
        foreach ($plan['operations'] as $step) {
            $rpm = $step['rpm'] ?? null;
            if ($rpm === null) {
                continue;
            }
            $has = isset($machine['speeds_rpm'])
                ? in_array((int) $rpm, $machine['speeds_rpm'], true)
                : $rpm >= $machine['min_rpm'] - self::EPSILON && $rpm <= $machine['max_rpm'] + self::EPSILON;
            $wanted = array_column($step['figures'], null, 'key')['rpm']['terms']['n_rpm'];
            if (! $has) {
                $faults[] = "{$step['kind']} at $rpm rpm, which the machine has not";
            }
            $bears = match (true) {
                $step['kind'] === 'ream' => 0.67 / 0.5,
                $step['kind'] === 'tap' => 0.4 / 0.25,
                $step['kind'] === 'spotface' => 0.5 / 0.33,
                self::sawn($step) => 1 / 0.7,
                in_array($step['kind'], ['countersink', 'counterbore', 'part_off'], true) => 0.5 / 0.33,
                $step['kind'] === 'centre' => 1 / 0.8,
                default => 1.25,
            };
            if ($rpm > $bears * $wanted + self::EPSILON) {
                $faults[] = "{$step['kind']} at $rpm rpm, where $wanted are wanted";
            }
            $cap = $job['input']['policy']['learner_cap_rpm'] ?? INF;
            if ($rpm > $cap + self::EPSILON) {
                $faults[] = "{$step['kind']} at $rpm rpm, over the cap of $cap";
            }
        }

        return $faults;
    }

    /** @return list<string> no deeper than flutes, stock and travel, with the floor left, and readings that add up */
    private static function depths(array $job, array $plan): array
    {
        $input = $job['input'];
        $faults = [];
        $alone = ($input['part']['part_off'] ?? true) === false;
        $wanted = $input['hole'] ?? ($alone ? $input['part']['bore'] ?? [] : []);
        $blind = ($wanted['through'] ?? true) === false;
        $stock = $input['thickness_mm'] ?? $input['part']['thickness_mm'] ?? null;
        $travel = $input['machine']['depth_scale']['travel_mm'];
        $graduation = $input['machine']['depth_scale']['graduation_mm'];
        $floors = $input['policy'];
        foreach ($plan['operations'] as $step) {
            if (! in_array($step['kind'], ['pilot', 'step', 'drill'], true) || ! isset($step['reading_mm'])) {
                continue;
            }
            $figures = array_column($step['figures'], null, 'key');
            $in = $figures['reading_mm']['terms']['in_mm'] ?? 0;
            $reached = $step['reading_mm'] + $in;
            if ($step['total_depth_mm'] > ($figures['flute_length_mm']['value'] ?? 0) + self::EPSILON) {
                $faults[] = "{$step['kind']} {$step['total_depth_mm']} deep, beyond its flutes";
            }
            if ($step['total_depth_mm'] > $travel + self::EPSILON) {
                $faults[] = "{$step['kind']} {$step['total_depth_mm']} deep, beyond the travel";
            }
            if (abs($reached - $step['total_depth_mm']) > $graduation + self::EPSILON) {
                $faults[] = "{$step['kind']} read to $reached, {$step['total_depth_mm']} deep";
            }
            if (! $blind && $reached < $step['total_depth_mm'] - self::EPSILON) {
                $faults[] = "{$step['kind']} through, read short";
            }
            $least = max(($floors['blind_floor_ratio'] ?? 0.2) * $step['diameter_mm'], $floors['blind_floor_mm'] ?? 1);
            if ($blind && $stock !== null && $step['kind'] === 'drill'
                && $stock - max($reached, $step['total_depth_mm']) < $least - self::EPSILON) {
                $faults[] = 'a blind hole leaves '.($stock - max($reached, $step['total_depth_mm']))." under it, where $least are wanted";
            }
            if ($step['kind'] === 'pilot' && Pilots::SLENDER + self::EPSILON < $step['depth_mm'] / $step['diameter_mm']) {
                $faults[] = "a pilot of {$step['diameter_mm']} drilled {$step['depth_mm']} deep";
            }
        }

        return $faults;
    }

    /** @return list<string> drills that the crib has, each wider than the one before, and a reamer after a smaller drill */
    private static function tools(array $job, array $plan): array
    {
        $faults = [];
        $sizes = array_map(static fn (array $drill): string => sprintf('%.4f', $drill['diameter_mm']), $job['input']['crib']['drills']);
        $before = 0.0;
        foreach ($plan['operations'] as $step) {
            if (! in_array($step['kind'], ['pilot', 'step', 'drill', 'ream', 'bore'], true)) {
                continue;
            }
            $sheet = str_contains(json_encode($step['tool'], JSON_THROW_ON_ERROR), 'step_drill') || self::sawn($step);
            $drill = ! in_array($step['kind'], ['ream', 'bore'], true) && ! $sheet;
            if ($drill && ! in_array(sprintf('%.4f', $step['diameter_mm']), $sizes, true)) {
                $faults[] = "{$step['kind']} of {$step['diameter_mm']}, which the crib has not";
            }
            if ($step['diameter_mm'] <= $before + self::EPSILON) {
                $faults[] = "{$step['kind']} of {$step['diameter_mm']} after $before";
            }
            $before = $step['diameter_mm'];
        }

        return $faults;
    }

    private static function sawn(array $step): bool
    {
        return str_contains(json_encode($step['tool'], JSON_THROW_ON_ERROR), 'hole_saw');
    }
}
