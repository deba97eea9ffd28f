<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Measure\JudgeMeasurement;
use MillStep\Core\Measure\Verdict;

/** One line of a sheet with what was found for it: its credit from 0 to 1, or null while it is open; and what it counts towards. */
final readonly class Criterion
{
    private const OBSERVED = ['met', 'prompted', 'not_met', 'not_seen'];

    private function __construct(
        public string $id,
        public float $weight,
        public ?float $credit,
        public CriterionKind $kind,
        public bool $stops = false,
        public bool $failsMeasurement = false,
        public bool $prompted = false,
        public bool $notMet = false,
        private bool $must = false,
        private bool $safety = false,
        private bool $why = false,
    ) {
    }

    /** Without it nobody passes, whatever the score. */
    public function lacksWhatItMust(): bool
    {
        return $this->must && $this->notMet;
    }

    /** A line of safety at which somebody had to speak. */
    public function neededWords(): bool
    {
        return $this->safety && $this->kind === CriterionKind::Observed && ($this->prompted || $this->notMet);
    }

    /** A reason that was asked for and not known. */
    public function knewNotWhy(): bool
    {
        return $this->why && $this->notMet;
    }

    /** Watched or judged, not measured. */
    public function isSeen(): bool
    {
        return $this->kind !== CriterionKind::Measured;
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields, float $promptedCredit): self
    {
        $id = $fields->text('id');
        $weight = $fields->positive('weight');
        $critical = $fields->flag('critical', false);
        $kind = CriterionKind::from($fields->choice('kind', array_column(CriterionKind::cases(), 'value')));

        return match ($kind) {
            CriterionKind::Observed => self::observed($fields, $id, $weight, $critical, $promptedCredit),
            CriterionKind::Judged => self::judged($fields, $id, $weight, $critical),
            CriterionKind::Measured => self::measured($fields, $id, $weight, $critical),
        };
    }

    /**
     * The results that would end the assessment, by the same rule that scores it.
     *
     * @return list<string|int>
     *
     * @throws InvalidInput
     */
    public static function stopsOn(Fields $fields): array
    {
        $results = match (CriterionKind::from($fields->choice('kind', array_column(CriterionKind::cases(), 'value')))) {
            CriterionKind::Observed => self::OBSERVED,
            CriterionKind::Judged => range(0, $fields->integer('scale_max', 1)),
            CriterionKind::Measured => [],
        };

        return array_values(array_filter(
            $results,
            static fn (string|int $result): bool => self::fromFields(Fields::of([...$fields->toArray(), 'result' => $result]), 0.0)->stops,
        ));
    }

    private static function observed(Fields $fields, string $id, float $weight, bool $critical, float $promptedCredit): self
    {
        $result = $fields->choice('result', self::OBSERVED, 'not_seen');
        $promptStops = $fields->flag('critical_prompt_stops', false);
        $credit = match ($result) {
            'met' => 1.0,
            'prompted' => $promptedCredit,
            'not_met' => 0.0,
            default => null,
        };

        return new self(
            $id,
            $weight,
            $credit,
            CriterionKind::Observed,
            stops: $critical && ($result === 'not_met' || ($result === 'prompted' && $promptStops)),
            prompted: $result === 'prompted',
            notMet: $result === 'not_met',
            must: $fields->flag('must', false),
            safety: $fields->flag('safety', false),
            why: $fields->flag('why', false),
        );
    }

    /** A critical one at 0 is not met, and ends it as an observed one does. */
    private static function judged(Fields $fields, string $id, float $weight, bool $critical): self
    {
        $scale = $fields->integer('scale_max', 1);
        if (! $fields->has('result')) {
            return new self($id, $weight, null, CriterionKind::Judged);
        }
        $value = $fields->integer('result', 0, $scale);

        return new self(
            $id,
            $weight,
            $value / $scale,
            CriterionKind::Judged,
            stops: $critical && $value === 0,
            notMet: $value === 0,
            must: $fields->flag('must', false),
            safety: $fields->flag('safety', false),
            why: $fields->flag('why', false),
        );
    }

    /** By its value and limits, or by the verdict that its readings came to. */
    private static function measured(Fields $fields, string $id, float $weight, bool $critical): self
    {
        if (! $fields->has('value_mm') && ! $fields->has('verdict')) {
            return new self($id, $weight, null, CriterionKind::Measured);
        }
        $verdict = $fields->has('verdict')
            ? Verdict::from($fields->choice('verdict', array_column(Verdict::cases(), 'value')))
            : JudgeMeasurement::fromFields($fields)->compute()->verdict;
        $credit = match ($verdict) {
            Verdict::In => 1.0,
            Verdict::Out => 0.0,
            Verdict::Doubtful => null,
        };

        return new self($id, $weight, $credit, CriterionKind::Measured, failsMeasurement: $critical && $verdict === Verdict::Out);
    }
}
