<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Lathe;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** The diameters to turn to, one after the other: equal roughing cuts, then the finish. */
final readonly class TurningPasses implements Operation
{
    private const MOST_PASSES = 10_000;

    public function __construct(public Length $start, public Length $finish, public Length $maxCut, public Length $finishCut)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $plan = new self(
            $fields->length('start_mm'),
            $fields->length('finish_mm'),
            $fields->length('max_cut_mm'),
            $fields->lengthOrZero('finish_cut_mm'),
        );

        return $plan->start->ratioTo($plan->maxCut) <= self::MOST_PASSES ? $plan
            : throw $fields->fault('max_cut_mm', 'planning.too_many_passes', ['most' => self::MOST_PASSES]);
    }

    /** @throws Impossible when there is nothing to turn away */
    public function compute(): Passes
    {
        if (! $this->finish->isLessThan($this->start)) {
            throw Impossible::because('finish_mm', 'planning.nothing_to_turn');
        }
        $leftForFinish = $this->finishCut->times(2);
        $rough = $this->start->minus($this->finish)->minus($leftForFinish);
        if ($rough->isAtMost(Length::zero())) {
            return new Passes([$this->finish]);
        }
        $count = (int) ceil($rough->ratioTo($this->maxCut->times(2)) - 1e-9);
        $passes = [];
        for ($i = 1; $i <= $count; $i++) {
            $passes[] = $this->start->minus($rough->times($i / $count));
        }
        if ($this->finishCut->isPositive()) {
            $passes[] = $this->finish;
        }

        return new Passes($passes);
    }
}
