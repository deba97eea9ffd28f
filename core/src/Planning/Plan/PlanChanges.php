<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

/**
 * What differs between two plans: operations that came, went or changed, field by field, in working order; and
 * whether either can be made. Works on plans as they cross the JSON border, so that a kept one can be compared
 * with one that is made now.
 *
 * @phpstan-type Change array{field: string, before: mixed, after: mixed}
 * @phpstan-type Line array{kind: string, state: 'same'|'changed'|'added'|'removed', before: mixed, after: mixed,
 *     changes: list<Change>}
 */
final readonly class PlanChanges extends Result
{
    /** What is said of an operation, in the order in which it is shown. */
    private const FIELDS = [
        'tool', 'diameter_mm', 'rpm', 'setting', 'feed_mm_rev', 'depth_mm', 'total_depth_mm', 'reading_mm', 'scale_reading',
        'dial_divisions', 'turns', 'repeat', 'lubricant', 'needs', 'why',
    ];

    /**
     * @param  list<Line>  $operations
     * @param  list<mixed>  $missingBefore  what only the first lacks
     * @param  list<mixed>  $missingAfter  what only the second lacks
     */
    private function __construct(
        public array $operations,
        public array $missingBefore,
        public array $missingAfter,
        public float $timeBeforeS,
        public float $timeAfterS,
        public int $count,
    ) {
    }

    /**
     * @param  array<string, mixed>  $before  a plan's answer
     * @param  array<string, mixed>  $after
     */
    public static function between(array $before, array $after): self
    {
        $lines = self::align(self::steps($before), self::steps($after));
        $lost = self::without(self::lacks($before), self::lacks($after));
        $new = self::without(self::lacks($after), self::lacks($before));

        return new self($lines, $lost, $new, self::seconds($before), self::seconds($after),
            count(array_filter($lines, static fn (array $line): bool => $line['state'] !== 'same')) + count($lost) + count($new));
    }

    /** @param  array<string, mixed>  $plan */
    private static function seconds(array $plan): float
    {
        $time = $plan['time_s'] ?? 0;

        return is_numeric($time) ? (float) $time : 0.0;
    }

    public function any(): bool
    {
        return $this->count > 0;
    }

    /**
     * The longest common run of kinds stays in step; what is left over came or went.
     *
     * @param  list<array<string, mixed>>  $before
     * @param  list<array<string, mixed>>  $after
     * @return list<Line>
     */
    private static function align(array $before, array $after): array
    {
        $rows = count($before);
        $columns = count($after);
        $best = array_fill(0, $rows + 1, array_fill(0, $columns + 1, 0));
        for ($i = $rows - 1; $i >= 0; $i--) {
            for ($j = $columns - 1; $j >= 0; $j--) {
                $best[$i][$j] = $before[$i]['kind'] === $after[$j]['kind'] ? 1 + $best[$i + 1][$j + 1] : max(
                    $best[$i + 1][$j],
                    $best[$i][$j + 1],
                );
            }
        }
        $lines = [];
        for ($i = $j = 0; $i < $rows || $j < $columns;) {
            if ($i < $rows && $j < $columns && $before[$i]['kind'] === $after[$j]['kind']) {
                $lines[] = self::line($before[$i++], $after[$j++]);
            } elseif ($j === $columns || ($i < $rows && $best[$i + 1][$j] >= $best[$i][$j + 1])) {
                $lines[] = self::line($before[$i++], null);
            } else {
                $lines[] = self::line(null, $after[$j++]);
            }
        }

        return $lines;
    }

    /**
     * @param  array<string, mixed>|null  $before
     * @param  array<string, mixed>|null  $after
     * @return Line
     */
    private static function line(?array $before, ?array $after): array
    {
        $changes = [];
        if ($before !== null && $after !== null) {
            foreach (self::FIELDS as $field) {
                if (! self::same($before[$field] ?? null, $after[$field] ?? null)) {
                    $changes[] = [
                        'field' => $field,
                        'before' => Message::read($before[$field] ?? null),
                        'after' => Message::read($after[$field] ?? null),
                    ];
                }
            }
        }
        $any = $before ?? $after ?? [];

        return [
            'kind' => is_string($any['kind'] ?? null) ? $any['kind'] : '',
            'state' => match (true) {
                $before === null => 'added',
                $after === null => 'removed',
                $changes !== [] => 'changed',
                default => 'same',
            },
            'before' => Message::read($before['tool'] ?? null),
            'after' => Message::read($after['tool'] ?? null),
            'changes' => $changes,
        ];
    }

    private static function same(mixed $a, mixed $b): bool
    {
        return is_numeric($a) && is_numeric($b)
            ? abs((float) $a - (float) $b) < 1e-6
            : self::canonical($a) === self::canonical($b);
    }

    /**
     * @param  array<string, mixed>  $plan
     * @return list<array<string, mixed>>
     */
    private static function steps(array $plan): array
    {
        $steps = is_array($plan['operations'] ?? null) ? $plan['operations'] : [];
        $named = [];
        foreach ($steps as $step) {
            if (is_array($step)) {
                /** @var array<string, mixed> $step */
                $named[] = $step;
            }
        }

        return $named;
    }

    /**
     * What a plan lacks, as messages crossed the border; a plan kept long ago has words instead.
     *
     * @param  array<string, mixed>  $plan
     * @return list<mixed>
     */
    private static function lacks(array $plan): array
    {
        return is_array($plan['missing'] ?? null) ? array_values($plan['missing']) : [];
    }

    /**
     * @param  list<mixed>  $these
     * @param  list<mixed>  $those
     * @return list<mixed>
     */
    private static function without(array $these, array $those): array
    {
        return array_map(
            Message::read(...),
            array_values(array_filter($these,
                static fn (mixed $lack): bool => ! in_array(self::canonical($lack), array_map(self::canonical(...), $those), true))),
        );
    }

    /** The same whatever the order of its keys: a database gives them back in its own. */
    private static function canonical(mixed $value): mixed
    {
        if (! is_array($value)) {
            return is_int($value) ? (float) $value : $value;
        }
        if (! array_is_list($value)) {
            ksort($value);
        }

        return array_map(self::canonical(...), $value);
    }
}
