<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Learning\Bound\BoundCase;
use MillStep\Core\Learning\Bound\TeachingFigures;
use MillStep\Core\Measure\JudgeMeasurement;
use MillStep\Core\Measure\Limits;
use MillStep\Core\Measure\Verdict;
use MillStep\Core\Planning\Lathe\CentreDrillVerdict;

/** Judges what a learner typed at a lesson's step, for the case that the lesson is bound to. */
final readonly class LessonReading
{
    /** All that a lesson may ask for. */
    public const KINDS = [
        'scale_touch', 'depth_reading', 'face_reading', 'full_depth', 'hole_diameter', 'centre_mouth', 'stick_out', 'turned',
        'piece_length', 'divisions',
    ];

    /** Read off a machine's own scale, in its own unit. */
    public const ON_SCALE = ['scale_touch', 'depth_reading', 'face_reading', 'full_depth'];

    /** What a sum in tenths may be short by. */
    private const ROUNDED_MM = 0.05;

    /** How close a turned size or a length is held where the drawing says nothing (workshop practice). */
    private const USUAL_MM = 0.1;

    /**
     * @param  Length  $graduation  of the machine's scale
     * @param  Length  $travel  of its quill or tailstock
     * @param  Limits|null  $drawing  of the hole's diameter
     */
    public function __construct(private BoundCase $case, private Length $graduation, private Length $travel, private ?Limits $drawing)
    {
    }

    /**
     * @param  string  $kind  one of KINDS; `divisions` are counted, a millimetre each
     *
     * @throws InvalidInput for a kind that is not known or that this case has nothing of, or a depth before the touch
     */
    public function judge(string $kind, Length $value, ?float $touchMm): Verdict
    {
        $window = $this->window($kind, $touchMm);
        $gauge = $kind === 'hole_diameter' ? $this->case->policy->caliperUncertainty : Length::zero();

        return (new JudgeMeasurement($value, $window->lower, $window->upper, $gauge))->compute()->verdict;
    }

    /**
     * Within what a reading is right. `scale_touch` must leave the quill room for the whole travel; a depth is right on the
     * line or up to one over it, for one under leaves no clearance.
     *
     * @throws InvalidInput
     */
    public function window(string $kind, ?float $touchMm): Limits
    {
        $case = $this->case;
        $touch = static fn (): Length => $touchMm === null ? throw InvalidInput::at('value', 'learning.touch_first') : Length::mm($touchMm);

        return match ($kind) {
            'scale_touch' => new Limits(Length::zero(), $this->travel->minus($this->deep())),
            'depth_reading' => $this->onTheLine($case->hole?->readingFrom($touch()) ?? $touch()->plus($this->deep())),
            // Touched on the face, and not in a pilot: all of the tip's way is still to come.
            'face_reading' => $this->onTheLine($touch()->plus(($case->steps()['drill'] ?? null)->totalDepth ?? $this->deep())),
            'full_depth' => $this->onTheLine($touch()->plus($this->deep())),
            'hole_diameter' => $this->drawing ?? $case->wanted?->limits,
            'centre_mouth' => $this->mouth(),
            'stick_out' => $this->standsOut(),
            'turned' => self::around($case->outside),
            'piece_length' => self::around($this->piece()),
            'divisions' => $this->divisions(),
            default => null,
        } ?? throw InvalidInput::at('kind', 'learning.no_reading', ['kind' => Message::quote($kind)]);
    }

    /** Null for a bar whose end is carried: it stands out as far as it is long. */
    private function standsOut(): ?Limits
    {
        [$out, $most] = [$this->case->out() ?? Length::zero(), $this->case->mayStandOut()];

        return $most === null || $out->isGreaterThan($most) ? null : new Limits($out, $most);
    }

    /** How far the scale moves on from the touch, or from where the drill cuts with its full width. */
    private function deep(): Length
    {
        $drill = $this->case->steps()['drill'] ?? null;

        return $this->case->hole?->readingFrom(Length::zero()) ?? $drill->depth ?? Length::zero();
    }

    private function onTheLine(Length $reading): Limits
    {
        return new Limits($reading->minus(Length::mm(self::ROUNDED_MM)), $reading->plus($this->graduation));
    }

    private static function around(?Length $length): ?Limits
    {
        return $length === null ? null : new Limits($length->minus(Length::mm(self::USUAL_MM)), $length->plus(Length::mm(self::USUAL_MM)));
    }

    private function mouth(): ?Limits
    {
        $drill = TeachingFigures::centreDrill($this->case);

        return $drill === null ? null
            : new Limits($drill->shape->mouth(CentreDrillVerdict::GOOD_FROM), $drill->shape->mouth(CentreDrillVerdict::GOOD_TO));
    }

    /** As long as a piece comes off the bar: one move, less the blade. */
    private function piece(): ?Length
    {
        $move = $this->case->plan->batch['move_mm'] ?? null;

        return $this->case->blade === null || ! is_float($move) ? null : Length::mm($move)->minus($this->case->blade);
    }

    private function divisions(): ?Limits
    {
        $divisions = ($this->case->steps()['part_off'] ?? null)?->dialDivisions;

        return $divisions === null ? null : new Limits(Length::mm($divisions), Length::mm($divisions));
    }
}
