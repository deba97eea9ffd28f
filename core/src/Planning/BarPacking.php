<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Measure\Length;

/**
 * Packs pieces into as few equal bars as there can be. First fit decreasing and fullest bar first give a
 * good answer; where a bar less is still conceivable and the pieces are few enough, every way of filling
 * bar after bar is tried, each bar starting with the longest piece that is left.
 */
final class BarPacking
{
    private const EXACT_UP_TO = 60;

    /** Enough for any list of this size met so far; beyond it the good answer stands. */
    private const MOST_TRIES = 400_000;

    /** @var list<float> distinct costs, longest first */
    private array $sizes = [];

    /** @var array<int, int> how many of each, by kind */
    private array $counts = [];

    /** @var array<string, true> remaining pieces that are known not to fit into the bars left */
    private array $hopeless = [];

    private int $tries = 0;

    /** @param  list<float>  $costs longest first, kerf included */
    public function __construct(private readonly array $costs, private readonly float $capacity)
    {
        foreach ($costs as $cost) {
            $last = count($this->sizes) - 1;
            if ($last >= 0 && abs($this->sizes[$last] - $cost) < 1e-9) {
                $this->counts[$last]++;
            } else {
                $this->sizes[] = $cost;
                $this->counts[] = 1;
            }
        }
    }

    /** @return list<list<int>> a list of pieces, by index into the costs, for each bar */
    public function pack(): array
    {
        $best = $this->shorter($this->firstFit(), $this->fullestFirst());
        $least = $this->leastConceivable();
        if (count($this->costs) <= self::EXACT_UP_TO) {
            for ($bars = $least; $bars < count($best); $bars++) {
                $this->hopeless = [];
                $this->tries = 0;
                $filled = $this->fill($this->counts, $bars);
                if ($filled !== null) {
                    $best = $filled;
                    break;
                }
            }
        }

        return $this->withPieces($best);
    }

    /** No two pieces over half a bar share one, and no bar holds more than it is long. */
    private function leastConceivable(): int
    {
        $least = (int) ceil(array_sum($this->costs) / $this->capacity - 1e-9);
        foreach ([0.0, ...array_filter($this->sizes, fn (float $size): bool => $size <= $this->capacity / 2)] as $small) {
            $large = $middle = 0;
            $loose = $room = 0.0;
            foreach ($this->costs as $cost) {
                if ($cost > $this->capacity - $small + 1e-9) {
                    $large++;
                } elseif ($cost > $this->capacity / 2 + 1e-9) {
                    $middle++;
                    $room += $this->capacity - $cost;
                } elseif ($cost >= $small - 1e-9) {
                    $loose += $cost;
                }
            }
            $least = max($least, $large + $middle + max(0, (int) ceil(($loose - $room) / $this->capacity - 1e-9)));
        }

        return $least;
    }

    /** @return list<list<int>> bars as kinds of piece */
    private function firstFit(): array
    {
        $bars = $left = [];
        foreach ($this->counts as $kind => $count) {
            for ($i = 0; $i < $count; $i++) {
                $place = null;
                foreach ($left as $bar => $room) {
                    if ($this->fits($this->sizes[$kind], $room)) {
                        $place = $bar;
                        break;
                    }
                }
                $place ??= count($bars);
                $left[$place] = ($left[$place] ?? $this->capacity) - $this->sizes[$kind];
                $bars[$place][] = $kind;
            }
        }

        return array_values($bars);
    }

    /**
     * Fills one bar after the other as full as it can be.
     *
     * @return list<list<int>>
     */
    private function fullestFirst(): array
    {
        $counts = $this->counts;
        $bars = [];
        while (array_sum($counts) > 0) {
            $tries = 0;
            $fullest = $this->fillings($counts, 2_000, $tries)[0];
            foreach ($fullest as $kind) {
                $counts[$kind]--;
            }
            $bars[] = $fullest;
        }

        return $bars;
    }

    /**
     * @param  array<int, int>  $counts  what is left, by kind
     * @return list<list<int>>|null null when it does not go into so many bars
     */
    private function fill(array $counts, int $bars): ?array
    {
        $total = 0.0;
        foreach ($counts as $kind => $count) {
            $total += $count * $this->sizes[$kind];
        }
        if ($total <= 1e-9) {
            return [];
        }
        $spare = $bars * $this->capacity - $total;
        $key = $bars.'/'.implode(',', $counts);
        if ($bars === 0 || $spare < -Length::TOLERANCE_MM || isset($this->hopeless[$key]) || $this->tries > self::MOST_TRIES) {
            return null;
        }
        foreach ($this->fillings($counts, PHP_INT_MAX, $this->tries) as $filling) {
            $used = 0.0;
            $rest = $counts;
            foreach ($filling as $kind) {
                $used += $this->sizes[$kind];
                $rest[$kind]--;
            }
            // Fillings come fullest first: the next ones waste even more.
            if ($this->capacity - $used > $spare + Length::TOLERANCE_MM) {
                break;
            }
            $others = $this->fill($rest, $bars - 1);
            if ($others !== null) {
                return [$filling, ...$others];
            }
        }
        $this->hopeless[$key] = true;

        return null;
    }

    /**
     * The ways to fill one bar that take the longest piece left and leave no room for another, fullest first.
     *
     * @param  array<int, int>  $counts
     * @return non-empty-list<list<int>>
     */
    private function fillings(array $counts, int $most, int &$tries): array
    {
        $first = 0;
        while ($counts[$first] === 0) {
            $first++;
        }
        $counts[$first]--;
        $found = [];
        $this->complete($counts, $first, $this->capacity - $this->sizes[$first], [$first], $most, $tries, $found);
        usort($found, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_map(static fn (array $filling): array => $filling[1], $found) ?: [[$first]];
    }

    /**
     * @param  array<int, int>  $counts
     * @param  list<int>  $chosen
     * @param  list<array{float, list<int>}>  $found  room left and kinds
     */
    private function complete(array $counts, int $kind, float $room, array $chosen, int $most, int &$tries, array &$found): void
    {
        if (++$tries > self::MOST_TRIES || count($found) >= $most) {
            return;
        }
        $size = count($this->sizes);
        while ($kind < $size && ($counts[$kind] === 0 || ! $this->fits($this->sizes[$kind], $room))) {
            $kind++;
        }
        if ($kind === $size) {
            if (! $this->roomFor($counts, $room)) {
                $found[] = [$room, $chosen];
            }

            return;
        }
        $take = min($counts[$kind], (int) floor(($room + Length::TOLERANCE_MM) / $this->sizes[$kind]));
        for (; $take >= 0; $take--) {
            $rest = $counts;
            $rest[$kind] -= $take;
            $this->complete($rest, $kind + 1, $room - $take * $this->sizes[$kind], [...$chosen, ...array_fill(0, $take, $kind)], $most, $tries, $found);
        }
    }

    /** @param  array<int, int>  $counts */
    private function roomFor(array $counts, float $room): bool
    {
        for ($kind = count($counts) - 1; $kind >= 0; $kind--) {
            if ($counts[$kind] > 0) {
                // The shortest piece left decides.
                return $this->fits($this->sizes[$kind], $room);
            }
        }

        return false;
    }

    private function fits(float $cost, float $room): bool
    {
        return $cost <= $room + Length::TOLERANCE_MM;
    }

    /**
     * @param  list<list<int>>  $a
     * @param  list<list<int>>  $b
     * @return list<list<int>>
     */
    private function shorter(array $a, array $b): array
    {
        return count($b) < count($a) ? $b : $a;
    }

    /**
     * @param  list<list<int>>  $bars  as kinds
     * @return list<list<int>> as pieces
     */
    private function withPieces(array $bars): array
    {
        $next = [];
        $start = 0;
        foreach ($this->counts as $kind => $count) {
            $next[$kind] = $start;
            $start += $count;
        }

        return array_map(static function (array $bar) use (&$next): array {
            return array_map(static function (int $kind) use (&$next): int {
                return $next[$kind]++;
            }, $bar);
        }, $bars);
    }
}
