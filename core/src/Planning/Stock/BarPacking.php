<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Stock;

use MillStep\Core\Border\Length;

/**
 * Packs pieces into as few equal bars as there can be. First fit decreasing gives a good answer; where a bar less is
 * still conceivable, fullest bar first is tried, and then
 *
 * - up to 60 pieces: bar after bar is filled in every way, each with the longest piece that is left, and a way is left
 *   as soon as the bound of what remains says that it cannot come out;
 * - beyond, for up to 100 different lengths: the fractional cut rounded, and what it leaves packed as above.
 */
final class BarPacking
{
    private const EXACT_UP_TO = 60;

    /** Different lengths up to which bars are filled one after the other as full as can be. */
    private const FULLEST_UP_TO = 500;

    /** Different lengths for which the fractional cut is still quick. */
    private const ROUNDED_UP_TO = 100;

    /** Of a filling's bars in the fractional cut, a part as large as this is cut as a whole one. */
    private const HALF = 0.5;

    /** Whole numbers of this many to the millimetre, so that sums are exact. */
    private const PER_MM = 1_000_000;

    /** Lists met so far took a few dozen; beyond that many the good answer stands. */
    private const MOST_BOUNDS = 600;

    private const MOST_FILLINGS = 4_000;

    /** @var list<int> distinct costs, longest first */
    private array $sizes = [];

    /** @var array<int, int> how many of each, by kind */
    private array $counts = [];

    private readonly int $capacity;

    /** @var array<string, true> remaining pieces that are known not to fit into the bars left */
    private array $hopeless = [];

    private int $bounds = 0;

    private BarBound $bound;

    /** @param  list<float>  $costs longest first, in millimetres, kerf included */
    public function __construct(array $costs, float $capacityMm)
    {
        // A piece that is longer by less than can be told still fits.
        $this->capacity = (int) round(($capacityMm + Length::TOLERANCE_MM) * self::PER_MM);
        foreach ($costs as $cost) {
            $size = (int) round($cost * self::PER_MM);
            $last = count($this->sizes) - 1;
            if ($last >= 0 && $this->sizes[$last] === $size) {
                $this->counts[$last]++;
            } else {
                $this->sizes[] = $size;
                $this->counts[] = 1;
            }
        }
    }

    /** @return list<list<int>> a list of pieces, by index into the costs, for each bar */
    public function pack(): array
    {
        return $this->withPieces($this->packed());
    }

    /** @return list<list<int>> bars as kinds of piece */
    private function packed(): array
    {
        $best = $this->firstFit();
        $kinds = count($this->sizes);
        if ($kinds <= self::FULLEST_UP_TO && $this->conceivable(count($best) - 1)) {
            $best = self::fewer($best, $this->fullestFirst());
        }

        return match (true) {
            ! $this->conceivable(count($best) - 1) => $best,
            array_sum($this->counts) <= self::EXACT_UP_TO => $this->fewest($best),
            $kinds <= self::ROUNDED_UP_TO => self::fewer($best, $this->rounded()),
            default => $best,
        };
    }

    /** Whether the pieces come to no more than so many bars, end to end. */
    private function conceivable(int $bars): bool
    {
        return $this->bySum($this->counts) <= $bars;
    }

    /**
     * @param  list<list<int>>  $one
     * @param  list<list<int>>  $other
     * @return list<list<int>>
     */
    private static function fewer(array $one, array $other): array
    {
        return count($other) < count($one) ? $other : $one;
    }

    /**
     * @param  array<int, int>  $filling
     * @param  array<int, int>  $counts
     */
    private static function within(array $filling, array $counts): bool
    {
        foreach ($filling as $kind => $count) {
            if ($count > $counts[$kind]) {
                return false;
            }
        }

        return true;
    }

    /**
     * The fewest bars there can be, if these are not they.
     *
     * @param  list<list<int>>  $best
     * @return list<list<int>>
     */
    private function fewest(array $best): array
    {
        $this->bound = new BarBound($this->sizes, $this->capacity);
        $least = (int) ceil($this->bound->of(self::present($this->counts), $this->bySum($this->counts))[0] - 1e-6);
        for ($bars = $least; $bars < count($best); $bars++) {
            $this->hopeless = [];
            $this->bounds = 0;
            $filled = $this->dive($bars) ?? $this->fill($this->counts, $bars);
            if ($filled !== null) {
                return $filled;
            }
        }

        return $best;
    }

    /**
     * Cuts the whole bars of the fractional cut, again and again, until few enough pieces are left to be packed for
     * themselves.
     *
     * @return list<list<int>>
     */
    private function rounded(): array
    {
        $bound = new BarBound($this->sizes, $this->capacity);
        $left = $this->counts;
        $cut = [];
        while (array_sum($left) > self::EXACT_UP_TO) {
            $liked = $bound->of(self::present($left), 0.0)[2];
            usort($liked, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
            foreach ($liked as $place => [$amount, $filling]) {
                // The one that is liked best is cut at least once, so that this comes to an end.
                $bars = max((int) floor($amount + self::HALF), $place === 0 ? 1 : 0);
                for (; $bars > 0 && self::within($filling, $left); $bars--) {
                    foreach ($filling as $kind => $count) {
                        $left[$kind] -= $count;
                    }
                    $cut[] = self::listed($filling);
                }
            }
        }
        $rest = clone $this;
        $rest->counts = $left;

        return [...$cut, ...$rest->packed()];
    }

    /**
     * @param  array<int, int>  $counts
     * @return array<int, int> without the kinds of which none is left
     */
    private static function present(array $counts): array
    {
        return array_filter($counts, static fn (int $count): bool => $count > 0);
    }

    /** @param  array<int, int>  $counts */
    private function bySum(array $counts): int
    {
        return intdiv($this->total($counts) + $this->capacity - 1, $this->capacity);
    }

    /** @param  array<int, int>  $counts */
    private function total(array $counts): int
    {
        $total = 0;
        foreach ($counts as $kind => $count) {
            $total += $count * $this->sizes[$kind];
        }

        return $total;
    }

    /** @return list<list<int>> bars as kinds of piece */
    private function firstFit(): array
    {
        $bars = $left = [];
        foreach ($this->counts as $kind => $count) {
            for ($i = 0; $i < $count; $i++) {
                $place = count($bars);
                foreach ($left as $bar => $room) {
                    if ($this->sizes[$kind] <= $room) {
                        $place = $bar;
                        break;
                    }
                }
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
            $fullest = $this->fillings($counts, 300)[0];
            foreach ($fullest as $kind) {
                $counts[$kind]--;
            }
            $bars[] = $fullest;
        }

        return $bars;
    }

    /**
     * @param  array<int, int>  $filling  how many of each kind
     * @return list<int> kinds
     */
    private static function listed(array $filling): array
    {
        return array_merge(
            ...array_map(static fn (int $kind, int $count): array => array_fill(0, $count, $kind), array_keys($filling), $filling),
        );
    }

    /** @param  array<int, int>  $counts  not all of them none */
    private static function longest(array $counts): int
    {
        $first = 0;
        while ($counts[$first] === 0) {
            $first++;
        }

        return $first;
    }

    /**
     * Cuts the filling that the fractional cut likes best, looks again at what is left, and so on; then the same
     * with one second choice, earlier or later.
     *
     * @return list<list<int>>|null null when no dive came out at so few bars
     */
    private function dive(int $bars): ?array
    {
        for ($second = -1; $second < $bars; $second++) {
            $left = self::present($this->counts);
            $cut = [];
            while ($left !== [] && count($cut) + $this->bySum($left) <= $bars) {
                [$least, , $liked] = $this->bound->of($left, 0.0);
                if (count($cut) + $least > $bars + 1e-6) {
                    break;
                }
                usort($liked, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
                $filling = $liked[count($cut) === $second ? min(1, count($liked) - 1) : 0][1];
                foreach ($filling as $kind => $count) {
                    $left[$kind] -= $count;
                }
                $left = self::present($left);
                $cut[] = self::listed($filling);
            }
            if ($left === []) {
                return $cut;
            }
        }

        return null;
    }

    /**
     * @param  array<int, int>  $counts  what is left, by kind
     * @return list<list<int>>|null null when it does not go into so many bars
     */
    private function fill(array $counts, int $bars): ?array
    {
        $left = self::present($counts);
        if ($left === []) {
            return [];
        }
        $key = $bars.'/'.implode(',', $counts);
        if ($this->bySum($counts) > $bars || isset($this->hopeless[$key]) || ++$this->bounds > self::MOST_BOUNDS) {
            return null;
        }
        [$least, $prices] = $this->bound->of($left, $bars + 1e-6);
        if ($least <= $bars + 1e-6) {
            $spare = $bars * $this->capacity - $this->total($counts);
            foreach ($this->dearestFirst($this->fillings($counts, self::MOST_FILLINGS), $prices) as $filling) {
                $rest = $counts;
                $used = 0;
                foreach ($filling as $kind) {
                    $rest[$kind]--;
                    $used += $this->sizes[$kind];
                }
                $others = $this->capacity - $used > $spare ? null : $this->fill($rest, $bars - 1);
                if ($others !== null) {
                    return [$filling, ...$others];
                }
            }
        }
        $this->hopeless[$key] = true;

        return null;
    }

    /**
     * @param  list<list<int>>  $fillings  fullest first
     * @param  array<int, float>  $prices  by kind
     * @return list<list<int>> those that the bound holds worth most first
     */
    private function dearestFirst(array $fillings, array $prices): array
    {
        $worth = array_map(
            static fn (array $filling): float => round(array_sum(array_map(static fn (int $kind): float => $prices[$kind], $filling)), 6),
            $fillings,
        );
        // PHP's sort is stable: of equally dear fillings the fullest stays first.
        arsort($worth);

        return array_map(static fn (int $index): array => $fillings[$index], array_keys($worth));
    }

    /**
     * The ways to fill one bar that take the longest piece left and leave no room for another, fullest first.
     *
     * @param  array<int, int>  $counts
     * @return non-empty-list<list<int>>
     */
    private function fillings(array $counts, int $most): array
    {
        $first = self::longest($counts);
        $counts[$first]--;
        $found = [];
        $this->complete($counts, $first, $this->capacity - $this->sizes[$first], [$first], $most, $found);
        usort($found, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_map(static fn (array $filling): array => $filling[1], $found) ?: [[$first]];
    }

    /**
     * @param  array<int, int>  $counts
     * @param  list<int>  $chosen
     * @param  list<array{int, list<int>}>  $found  room left and kinds
     */
    private function complete(array $counts, int $kind, int $room, array $chosen, int $most, array &$found): void
    {
        if (count($found) >= $most) {
            return;
        }
        $size = count($this->sizes);
        while ($kind < $size && ($counts[$kind] === 0 || $this->sizes[$kind] > $room)) {
            $kind++;
        }
        if ($kind === $size) {
            if (! $this->roomFor($counts, $room)) {
                $found[] = [$room, $chosen];
            }

            return;
        }
        for ($take = min($counts[$kind], intdiv($room, $this->sizes[$kind])); $take >= 0; $take--) {
            $rest = $counts;
            $rest[$kind] -= $take;
            $this->complete(
                $rest,
                $kind + 1,
                $room - $take * $this->sizes[$kind],
                [...$chosen, ...array_fill(0, $take, $kind)],
                $most,
                $found,
            );
        }
    }

    /** @param  array<int, int>  $counts */
    private function roomFor(array $counts, int $room): bool
    {
        for ($kind = count($counts) - 1; $kind >= 0; $kind--) {
            if ($counts[$kind] > 0) {
                // The shortest piece left decides.
                return $this->sizes[$kind] <= $room;
            }
        }

        return false;
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
