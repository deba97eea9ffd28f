<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Border\Operation;
use MillStep\Core\Policy\PilotSchool;
use MillStep\Core\Workshop\Drill;

/** Which drills lead up to the final one, by the shop's school, from the drills at hand. */
final readonly class PilotPlan implements Operation
{
    /** Over this part of the drill a pilot leaves the corners all the work. */
    public const LARGEST = 0.6;

    /** @param  non-empty-list<Drill>  $drills in any order */
    public function __construct(
        public Length $final,
        public array $drills,
        public PilotSchool $school,
        public Length $threshold,
        public float $webRatio,
        public float $maxStepRatio,
        public bool $grabs,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->length('final_mm'),
            Drill::set($fields),
            PilotSchool::from($fields->choice('school', array_column(PilotSchool::cases(), 'value'))),
            $fields->lengthOrZero('threshold_mm'),
            $fields->between('web_ratio', 0, 1, 0.2),
            $fields->between('max_step_ratio', 1, 1000, 2.5),
            $fields->flag('grabs', false),
        );
    }

    /** @throws NoCandidate when the final drill, or any pilot for it, is not in the set */
    public function compute(): PilotSteps
    {
        $final = Drill::ofSize($this->drills, $this->final);
        $straightIn = match (true) {
            $this->grabs => PilotReason::GrabbingMaterial,
            $this->school === PilotSchool::Single => PilotReason::SingleSchool,
            $this->final->isAtMost($this->threshold) => PilotReason::UnderThreshold,
            default => null,
        };
        if ($straightIn !== null) {
            return new PilotSteps([$final], PilotSchool::Single, $straightIn);
        }
        $pilot = $this->pilot($final);
        if ($this->school === PilotSchool::Web) {
            return new PilotSteps([$pilot, $final], PilotSchool::Web, PilotReason::Web);
        }

        return new PilotSteps([$pilot, ...$this->between($pilot, $final), $final], PilotSchool::Stepped, PilotReason::Stepped);
    }

    private function pilot(Drill $final): Drill
    {
        $least = $this->final->times($this->webRatio);
        $pilot = Drill::smallestAtLeast($this->drills, $least);

        return $pilot !== null && $pilot->diameter->isLessThan($final->diameter) ? $pilot
            : throw NoCandidate::in('drills', 'planning.no_pilot', [
                'least_mm' => $least->inMm(),
                'final_mm' => $this->final->inMm(),
                'nearest' => Drill::nearest($this->drills, $least)->designation ?? '',
            ]);
    }

    /** @return list<Drill> */
    private function between(Drill $pilot, Drill $final): array
    {
        $ratio = $final->diameter->ratioTo($pilot->diameter);
        // The small allowance keeps a ratio of exactly maxStepRatio at one step.
        $steps = (int) ceil(log($ratio) / log($this->maxStepRatio) - 1e-9);
        $chosen = [];
        $before = $pilot;
        for ($i = 1; $i < $steps; $i++) {
            $candidates = array_values(array_filter(
                $this->drills,
                static fn (Drill $drill): bool => $drill->diameter->isGreaterThan($before->diameter)
                && $drill->diameter->isLessThan($final->diameter)));
            $next = Drill::nearest($candidates, $pilot->diameter->times($ratio ** ($i / $steps)));
            if ($next !== null) {
                $chosen[] = $before = $next;
            }
        }

        return $chosen;
    }
}
