<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Stock;

/**
 * How few bars a list can conceivably take when bars may be cut in fractions: the linear programme over all
 * ways of filling one bar, its columns made as they are asked for (Gilmore and Gomory). A sharper bound than
 * the sum of the lengths, and its prices say which fillings are worth trying first.
 */
final class BarBound
{
    private const NOISE = 1e-9;

    /** Far more than lists of this size were seen to need; what is known then is still a true bound. */
    private const MOST_COLUMNS = 3_000;

    private const MOST_STEPS = 60_000;

    /** @var array<string, array<int, int>> fillings met so far, by kind; a similar list likely wants them again */
    private array $pool = [];

    /** @param  list<int>  $sizes  of each kind, none longer than the bar */
    public function __construct(private readonly array $sizes, private readonly int $capacity)
    {
    }

    /**
     * @param  array<int, int>  $counts  how many of each kind, at least one
     * @param  float  $enough  bars; a smaller bound need not be found exactly
     * @return array{float, array<int, float>, list<array{float, array<int, int>}>} the bound, what a piece of each
     *     kind is worth in bars, and how many bars of which filling the fractional cut takes
     */
    public function of(array $counts, float $enough): array
    {
        $zero = array_map(static fn (): float => 0.0, $counts);
        $inverse = $amounts = $basis = [];
        foreach ($counts as $kind => $count) {
            // To begin with, every kind in bars of its own.
            $inverse[$kind] = $zero;
            $inverse[$kind][$kind] = 1.0 / min($count, intdiv($this->capacity, $this->sizes[$kind]));
            $amounts[$kind] = $count * $inverse[$kind][$kind];
            $basis[$kind] = [$kind => min($count, intdiv($this->capacity, $this->sizes[$kind]))];
        }
        $pool = array_filter($this->pool, static fn (array $filling): bool => self::within($filling, $counts));
        $best = 0.0;
        $bestPrices = $zero;
        for ($column = 0; $column < self::MOST_COLUMNS; $column++) {
            $prices = $zero;
            foreach ($inverse as $line) {
                foreach ($line as $kind => $value) {
                    $prices[$kind] += $value;
                }
            }
            $total = array_sum($amounts);
            if ($total <= $enough) {
                [$best, $bestPrices] = [$total, $prices];
                break;
            }
            $filling = self::dearestOf($pool, $prices);
            if ($filling === null) {
                [$filling, $worth, $sure] = $this->dearest($prices, $counts);
                // No filling is worth more, so this is a true bound even before the last column (Farley).
                if ($sure && $total / max(1.0, $worth) > $best) {
                    $best = $total / max(1.0, $worth);
                    $bestPrices = $prices;
                }
                if (! $sure || $worth <= 1.0 + self::NOISE || $best > $total - 1e-7) {
                    break;
                }
                $this->pool[implode(',', array_keys($filling)).'x'.implode(',', $filling)] = $pool[] = $filling;
            }
            $leaving = self::pivot($inverse, $amounts, $filling);
            if ($leaving === null) {
                break;
            }
            $basis[$leaving] = $filling;
        }

        return [$best, $bestPrices, array_map(static fn (float $amount, array $filling): array => [$amount, $filling], $amounts, $basis)];
    }

    /**
     * @param  array<int, int>  $filling
     * @param  array<int, int>  $counts
     */
    private static function within(array $filling, array $counts): bool
    {
        foreach ($filling as $kind => $count) {
            if ($count > ($counts[$kind] ?? 0)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array<array-key, array<int, int>>  $pool
     * @param  array<int, float>  $prices
     * @return array<int, int>|null null when none is worth more than its bar
     */
    private static function dearestOf(array $pool, array $prices): ?array
    {
        $best = null;
        $most = 1.0 + 1e-7;
        foreach ($pool as $filling) {
            $worth = 0.0;
            foreach ($filling as $kind => $count) {
                $worth += $count * $prices[$kind];
            }
            if ($worth > $most) {
                $most = $worth;
                $best = $filling;
            }
        }

        return $best;
    }

    /**
     * Brings a filling into the basis.
     *
     * @param  array<int, array<int, float>>  $inverse
     * @param  array<int, float>  $amounts
     * @param  array<int, int>  $filling  how many of each kind
     * @return int|null the row that it takes
     */
    private static function pivot(array &$inverse, array &$amounts, array $filling): ?int
    {
        $direction = [];
        $leaving = null;
        $least = INF;
        foreach ($inverse as $row => $line) {
            $sum = 0.0;
            foreach ($filling as $kind => $count) {
                $sum += $line[$kind] * $count;
            }
            $direction[$row] = $sum;
            if ($sum > 1e-9 && $least - 1e-12 > $amounts[$row] / $sum) {
                $least = $amounts[$row] / $sum;
                $leaving = $row;
            }
        }
        if ($leaving === null) {
            return null;
        }
        $scale = 1.0 / $direction[$leaving];
        $pivotLine = array_map(static fn (float $value): float => $value * $scale, $inverse[$leaving]);
        $filled = array_filter($pivotLine, static fn (float $value): bool => $value !== 0.0);
        foreach ($direction as $row => $by) {
            if ($row !== $leaving && abs($by) > 1e-12) {
                foreach ($filled as $kind => $value) {
                    $inverse[$row][$kind] -= $by * $value;
                }
                $amounts[$row] = max(0.0, $amounts[$row] - $by * $least);
            }
        }
        $inverse[$leaving] = $pivotLine;
        $amounts[$leaving] = $least;

        return $leaving;
    }

    /**
     * The filling of one bar that is worth most at these prices.
     *
     * @param  array<int, float>  $prices
     * @param  array<int, int>  $counts
     * @return array{array<int, int>, float, bool} how many of each kind, its worth, and whether nothing dearer can exist
     */
    private function dearest(array $prices, array $counts): array
    {
        $order = array_keys(array_filter($prices, static fn (float $price): bool => $price > self::NOISE));
        usort($order, fn (int $a, int $b): int => $prices[$b] * $this->sizes[$a] <=> $prices[$a] * $this->sizes[$b]);
        $rates = $shortestFrom = [];
        $shortest = PHP_INT_MAX;
        for ($i = count($order) - 1; $i >= 0; $i--) {
            $rates[$i] = $prices[$order[$i]] / $this->sizes[$order[$i]];
            $shortestFrom[$i] = $shortest = min($shortest, $this->sizes[$order[$i]]);
        }
        $best = $now = [];
        $bestWorth = 0.0;
        $steps = 0;
        $search = function (int $at, int $room, float $worth) use (&$search, &$best, &$bestWorth, &$now, &$steps, $order, $prices, $counts,
            $rates, $shortestFrom): void {
            if ($worth > $bestWorth + self::NOISE) {
                $bestWorth = $worth;
                $best = $now;
            }
            for (; isset($order[$at]) && $room >= $shortestFrom[$at]; $at++) {
                // The kinds come dearest by length first: no more than this can be added.
                if ($worth + $room * $rates[$at] <= $bestWorth + self::NOISE || ++$steps > self::MOST_STEPS) {
                    return;
                }
                $kind = $order[$at];
                for ($take = min($counts[$kind], intdiv($room, $this->sizes[$kind])); $take > 0; $take--) {
                    $now[$kind] = $take;
                    $search($at + 1, $room - $take * $this->sizes[$kind], $worth + $take * $prices[$kind]);
                }
                unset($now[$kind]);
            }
        };
        $search(0, $this->capacity, 0.0);

        return [$best, $bestWorth, $steps <= self::MOST_STEPS];
    }
}
