<?php

declare(strict_types=1);

namespace MillStep\StandIns\Caliper;

/**
 * A gauge in somebody's hand: it shows what is between its jaws with its own zero error and noise, rounded to what its display can
 * show. The same seed, the same readings.
 */
final class Gauge
{
    private \Random\Randomizer $random;

    /**
     * @param  float  $resolution  millimetres a step of the display
     * @param  float  $zeroError  what it shows where there is nothing, millimetres
     * @param  float  $noise  standard deviation of the hand and the jaws, millimetres
     */
    public function __construct(
        private readonly float $resolution,
        private readonly float $zeroError,
        private readonly float $noise,
        int $seed,
    ) {
        $this->random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
    }

    public function read(float $millimetres): float
    {
        $shown = $millimetres + $this->zeroError + $this->noise * $this->normal();

        return round($shown / $this->resolution) * $this->resolution;
    }

    /** As a display shows it: as many places as its step has. */
    public function shown(float $millimetres): string
    {
        $places = max(0, (int) ceil(-log10($this->resolution) - 1e-9));

        return number_format($this->read($millimetres), $places, '.', '');
    }

    /** Box and Muller. */
    private function normal(): float
    {
        $one = ($this->random->getInt(0, 1_000_000) + 1) / 1_000_002;
        $other = $this->random->getInt(0, 1_000_000) / 1_000_000;

        return sqrt(-2 * log($one)) * cos(2 * M_PI * $other);
    }
}
