<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/**
 * The diameters to bore to, one after the other: equal roughing cuts, then two alike. A bar springs away from its cut;
 * what the first of the two came out at tells what the second will, so it is measured in between (workshop practice).
 */
final readonly class BoringPasses implements Operation
{
    private const MOST_PASSES = 10_000;

    public function __construct(public Length $drilled, public Length $finish, public Length $maxCut, public Length $finishCut)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $plan = new self(
            $fields->length('drilled_mm'),
            $fields->length('finish_mm'),
            $fields->length('max_cut_mm'),
            $fields->length('finish_cut_mm'),
        );

        return $plan->finish->ratioTo($plan->maxCut) <= self::MOST_PASSES ? $plan
            : throw $fields->fault('max_cut_mm', 'planning.too_many_passes', ['most' => self::MOST_PASSES]);
    }

    /** @throws Impossible when there is nothing to bore away */
    public function compute(): Passes
    {
        if (! $this->finish->isGreaterThan($this->drilled)) {
            throw Impossible::because('finish_mm', 'planning.nothing_to_bore');
        }
        $all = $this->finish->minus($this->drilled);
        $lastTwo = $this->finishCut->times(4);
        $rough = $all->minus($lastTwo);
        if ($rough->isAtMost(Length::zero())) {
            return new Passes([$this->drilled->plus($all->times(0.5)), $this->finish]);
        }
        $count = (int) ceil($rough->ratioTo($this->maxCut->times(2)) - 1e-9);
        $passes = [];
        for ($i = 1; $i <= $count; $i++) {
            $passes[] = $this->drilled->plus($rough->times($i / $count));
        }

        return new Passes([...$passes, $this->finish->minus($this->finishCut->times(2)), $this->finish]);
    }
}
