<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Border\Operation;
use MillStep\Core\Workshop\Drill;

/** Which drill at hand leaves a thread nearest to the percentage wanted. */
final readonly class TapDrill implements Operation
{
    /** @param  non-empty-list<Drill>  $drills in any order */
    public function __construct(
        public Length $major,
        public Length $pitch,
        public ThreadForm $form,
        public float $percentTarget,
        public float $percentMin,
        public float $percentMax,
        public array $drills,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $least = $fields->positive('percent_min');
        $most = $fields->positive('percent_max');
        $target = $fields->positive('percent_target');
        if ($most < $least) {
            throw $fields->fault('percent_max', 'input.below', ['other' => 'percent_min']);
        }
        if ($target < $least || $target > $most) {
            throw $fields->fault('percent_target', 'input.not_from_to', ['least' => $least, 'most' => $most, 'found' => $target]);
        }

        return new self(
            $fields->length('major_mm'),
            $fields->length('pitch_mm'),
            ThreadForm::fromFields($fields),
            $target,
            $least,
            $most,
            Drill::set($fields),
        );
    }

    /** @throws NoCandidate naming the nearest drill */
    public function compute(): TapDrillChoice
    {
        $ideal = $this->form->drillFor($this->major, $this->pitch, $this->percentTarget);
        $fitting = [];
        foreach ($this->drills as $drill) {
            $percent = $this->form->percent($this->major, $this->pitch, $drill->diameter);
            if ($percent >= $this->percentMin - 1e-9 && $percent <= $this->percentMax + 1e-9) {
                $fitting[] = new TapDrillCandidate($drill->designation, $drill->diameter, $percent);
            }
        }
        if ($fitting === []) {
            $nearest = Drill::nearest($this->drills, $ideal);
            throw NoCandidate::in(
                'drills',
                'planning.no_tap_drill',
                [
                    'min_percent' => $this->percentMin,
                    'max_percent' => $this->percentMax,
                    'wanted_mm' => $ideal->inMm(),
                    'nearest' => $nearest->designation ?? '',
                ],
            );
        }
        usort($fitting, fn (TapDrillCandidate $a, TapDrillCandidate $b): int => $this->miss($a) <=> $this->miss($b)
            ?: $b->diameter->compareExactly($a->diameter));

        return new TapDrillChoice($ideal, $fitting[0], array_slice($fitting, 1));
    }

    /** Rounded, so that two drills equally far off on either side tie. */
    private function miss(TapDrillCandidate $candidate): float
    {
        return round(abs($candidate->percent - $this->percentTarget), 6);
    }
}
