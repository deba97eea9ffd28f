<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Measure\JudgeMeasurement;
use MillStep\Core\Measure\Verdict;

/** Judges what a learner typed at a lesson's step, for the case that the lesson is bound to. */
final readonly class LessonReading
{
    public function __construct(
        private BoundHole $hole,
        private Length $graduation,
        private Length $quillTravel,
        private Length $holeLower,
        private Length $holeUpper,
    ) {
    }

    /**
     * `scale_touch` must leave the quill room for the whole travel; `depth_reading` is right within one
     * graduation of the scale; `hole_diameter` is judged against the drawing's limits.
     *
     * @throws InvalidInput for a kind that is not known, or a depth reading before the touch
     */
    public function judge(string $kind, Length $value, ?float $touchMm): Verdict
    {
        [$lower, $upper, $uncertainty] = match ($kind) {
            'scale_touch' => [Length::zero(), $this->quillTravel->minus($this->hole->travel()), Length::zero()],
            'depth_reading' => $this->around($this->hole->readingFrom($touchMm === null
                ? throw InvalidInput::at('value', 'learning.touch_first')
                : Length::mm($touchMm))),
            'hole_diameter' => [$this->holeLower, $this->holeUpper, $this->hole->policy->caliperUncertainty],
            default => throw InvalidInput::at('kind', 'learning.no_reading', ['kind' => Message::quote($kind)]),
        };

        return (new JudgeMeasurement($value, $lower, $upper, $uncertainty))->compute()->verdict;
    }

    /** @return array{Length, Length, Length} */
    private function around(Length $reading): array
    {
        return [$reading->minus($this->graduation), $reading->plus($this->graduation), Length::zero()];
    }
}
