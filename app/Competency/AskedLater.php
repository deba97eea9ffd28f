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

    private const LESSONS = ['lesson', 'guided'];

    /**
     * @param  array<string, mixed>  $before  the requirement that was in force
     * @param  array<string, mixed>  $after  as it is asked for now
     * @return array<string, mixed> the requirement with what of it is asked later, and checks that were once asked
     */
    public static function since(array $before, array $after, CarbonImmutable $now, int $days = self::DAYS): array
    {
        $later = [];
        foreach (self::LISTS as $kind => $list) {
            foreach (Given::texts($after[$list] ?? []) as $what) {
                // A lesson that is guided now and was not, or the other way round, was asked before.
                $kinds = in_array($kind, self::LESSONS, true) ? self::LESSONS : [$kind];
                $asked = array_filter($kinds, static fn (string $one): bool => in_array(
                    $what,
                    Given::texts($before[self::LISTS[$one]] ?? []),
                    true,
                ));
                $later[] = $asked === [] ? [
                    'kind' => $kind, 'what' => $what, 'from' => $now->toIso8601ZuluString(),
                    'until' => $now->addDays($days)->toIso8601ZuluString(),
                ] : self::known($before, $kinds, $kind, $what);
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
     * @param  array<string, mixed>  $before
     * @param  list<string>  $kinds  under which it may stand there
     * @return Later|null with the span that it has
     */
    private static function known(array $before, array $kinds, string $kind, string $what): ?array
    {
        foreach (Given::rows($before['later'] ?? []) as $one) {
            if (($one['what'] ?? null) === $what && in_array($one['kind'] ?? null, $kinds, true)) {
                return [
                    'kind' => $kind, 'what' => $what, 'from' => Given::text($one['from'] ?? ''),
                    'until' => Given::text($one['until'] ?? ''),
                ];
            }
        }

        return null;
    }
}
