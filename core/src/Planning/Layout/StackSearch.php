<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\Length;

/**
 * Looks for the best stack of exactly so many pieces. Every piece but the last is chosen in turn, largest
 * first, and left as soon as the rest can no longer reach the height; the last is found by halving.
 */
final class StackSearch
{
    /** @var non-empty-list<float> millimetres, largest first */
    private array $sizes;

    /** @var list<float> sum of the first n sizes */
    private array $sums = [0.0];

    private float $bestError = INF;

    /** @var list<int>|null */
    private ?array $best = null;

    private readonly float $height;

    private readonly float $tolerance;

    /** @param  non-empty-list<Length>  $available largest first */
    public function __construct(private readonly array $available, Length $height, Length $tolerance)
    {
        $this->sizes = array_map(static fn (Length $piece): float => $piece->inMm(), $available);
        $this->height = $height->inMm();
        // Lengths nearer than that are equal, so a stack that is off by less fits.
        $this->tolerance = $tolerance->inMm() + Length::TOLERANCE_MM;
        foreach ($this->sizes as $index => $size) {
            $this->sums[] = $this->sums[$index] + $size;
        }
    }

    /** @return list<Length>|null largest first; null when none comes within the tolerance */
    public function best(int $pieces): ?array
    {
        $this->choose($pieces, 0, 0.0, []);

        return $this->best === null ? null : array_map(fn (int $index): Length => $this->available[$index], $this->best);
    }

    /** @param  list<int>  $chosen */
    private function choose(int $left, int $from, float $sum, array $chosen): void
    {
        $count = count($this->sizes);
        if ($left === 1) {
            $this->last($from, $sum, $chosen);

            return;
        }
        for ($i = $from; $i <= $count - $left; $i++) {
            $largest = $sum + $this->sums[$i + $left] - $this->sums[$i];
            if ($largest < $this->height - $this->tolerance) {
                return;
            }
            $smallest = $sum + $this->sizes[$i] + $this->sums[$count] - $this->sums[$count - $left + 1];
            if ($smallest <= $this->height + $this->tolerance) {
                $this->choose($left - 1, $i + 1, $sum + $this->sizes[$i], [...$chosen, $i]);
            }
        }
    }

    /** @param  list<int>  $chosen */
    private function last(int $from, float $sum, array $chosen): void
    {
        $wanted = $this->height - $sum;
        $low = $from;
        $high = count($this->sizes);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            if ($this->sizes[$middle] > $wanted) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }
        // The nearest piece is the last one above the wanted size or the first at or below it.
        foreach ([$low - 1, $low] as $index) {
            if ($index < $from || $index >= count($this->sizes)) {
                continue;
            }
            $error = abs($wanted - $this->sizes[$index]);
            // Stacks are met with the larger largest piece first, so only a truly smaller error takes over.
            if ($error <= $this->tolerance && $error < $this->bestError - 1e-9) {
                $this->bestError = $error;
                $this->best = [...$chosen, $index];
            }
        }
    }
}
