<?php

declare(strict_types=1);

namespace App\Competency;

use App\Support\Given;
use Carbon\CarbonImmutable;

/**
 * What a permit asks for after a change: what was not asked before is asked since now, and whoever was known has a while for it, so that
 * no change shuts a shop on the day on which it is put in force.
 *
 * @phpstan-type Later array{kind: string, what: string, from: string, until: string}
 */
final class AskedLater
{
    /** How long whoever is known is spared, where nobody says otherwise. */
    public const DAYS = 90;

    private const LISTS = [
        'lesson' => 'lessons', 'guided' => 'guided', 'check' => 'checks', 'assessment' => 'assessments', 'prerequisite' => 'prerequisites',
    ];

    /**
     * @param  array<string, mixed>  $before  the requirement that was in force
     * @param  array<string, mixed>  $after  as it is asked for now
     * @return array<string, mixed> the requirement with what of it is asked later, and checks that were once asked
     */
    public static function since(array $before, array $after, CarbonImmutable $now, int $days = self::DAYS): array
    {
        $stood = array_column(self::known($before), null, 'name');
        $later = [];
        foreach (self::LISTS as $kind => $list) {
            foreach (Given::texts($after[$list] ?? []) as $what) {
                $asked = in_array($what, Given::texts($before[$list] ?? []), true);
                $later[] = $asked ? $stood["$kind:$what"]['later'] ?? null : [
                    'kind' => $kind, 'what' => $what, 'from' => $now->toIso8601ZuluString(),
                    'until' => $now->addDays($days)->toIso8601ZuluString(),
                ];
            }
        }
        $earlier = array_diff(
            [...Given::texts($before['earlier_checks'] ?? []), ...Given::texts($before['checks'] ?? [])],
            Given::texts($after['checks'] ?? []),
        );
        $later = array_values(array_filter($later));

        return [
            ...array_diff_key($after, ['later' => 0, 'earlier_checks' => 0]),
            ...($later === [] ? [] : ['later' => $later]),
            ...($earlier === [] ? [] : ['earlier_checks' => array_values(array_unique($earlier))]),
        ];
    }

    /**
     * @param  array<string, mixed>  $requirement
     * @return list<array{name: string, later: Later}>
     */
    private static function known(array $requirement): array
    {
        return array_map(static function (array $one): array {
            $later = array_map(Given::text(...), array_intersect_key($one, ['kind' => 0, 'what' => 0, 'from' => 0, 'until' => 0]));

            return ['name' => ($later['kind'] ?? '').':'.($later['what'] ?? ''), 'later' => [
                'kind' => $later['kind'] ?? '', 'what' => $later['what'] ?? '', 'from' => $later['from'] ?? '',
                'until' => $later['until'] ?? '',
            ]];
        }, Given::rows($requirement['later'] ?? []));
    }
}
