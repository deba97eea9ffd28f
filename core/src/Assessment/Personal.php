<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Dimensions of a sheet's part that everybody has their own of, drawn from stated ranges by a recorded seed. */
final readonly class Personal
{
    /** @param  array<string, array{Length, Length, int}>  $ranges  by name: the smallest, the step, how many steps there are */
    private function __construct(private array $ranges)
    {
    }

    /**
     * @param  list<Fields>  $dimensions  `{id, from_mm, to_mm, step_mm}`
     *
     * @throws InvalidInput
     */
    public static function of(array $dimensions): self
    {
        $ranges = [];
        foreach ($dimensions as $dimension) {
            $id = $dimension->text('id');
            [$from, $to, $step] = [$dimension->length('from_mm'), $dimension->length('to_mm'), $dimension->length('step_mm')];
            $steps = (int) round($to->minus($from)->ratioTo($step));
            if ($steps < 1 || abs($to->minus($from)->ratioTo($step) - $steps) > 1e-6) {
                throw $dimension->fault('step_mm', 'assessment.no_whole_steps');
            }
            if (isset($ranges[$id])) {
                throw $dimension->fault('id', 'assessment.ids_not_unique');
            }
            $ranges[$id] = [$from, $step, $steps];
        }
        // A seed draws the same in whatever order a file has them.
        ksort($ranges);

        return new self($ranges);
    }

    /** @return array<string, Length> by name */
    public function draw(int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));

        return array_map(
            static fn (array $range): Length => $range[0]->plus($range[1]->times($random->getInt(0, $range[2]))),
            $this->ranges,
        );
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_keys($this->ranges);
    }
}
