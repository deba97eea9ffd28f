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

    /** @param  string|null  $level  as it was seen: met, prompted, not_met, not_seen; of a judged line `nothing` where it got no point */
    private function __construct(
        public string $id,
        public float $weight,
        public ?float $credit,
        public CriterionKind $kind,
        public bool $stops,
        public bool $failsMeasurement,
        private ?string $level,
        private bool $must,
        private bool $safety,
        private bool $why,
    ) {
    }

    /** Without it nobody passes, whatever the score. */
    public function lacksWhatItMust(): bool
    {
        return $this->must && $this->isNotMet();
    }

    /** A line of safety at which somebody had to speak. */
    public function neededWords(): bool
    {
        return $this->safety && in_array($this->level, ['prompted', 'not_met'], true);
    }

    /** A reason that was asked for and not known. */
    public function knewNotWhy(): bool
    {
        return $this->why && $this->isNotMet();
    }

    private function isNotMet(): bool
    {
        return in_array($this->level, ['not_met', 'nothing'], true);
    }

    /** Watched or judged, not measured. */
    public function isSeen(): bool
    {
        return $this->kind !== CriterionKind::Measured;
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields, float $promptedCredit): self
    {
        $kind = CriterionKind::from($fields->choice('kind', array_column(CriterionKind::cases(), 'value')));
        $critical = $fields->flag('critical', false);
        [$credit, $level, $ends] = match ($kind) {
            CriterionKind::Observed => self::observed($fields, $promptedCredit),
            CriterionKind::Judged => self::judged($fields),
            CriterionKind::Measured => self::measured($fields),
        };

        return new self(
            $fields->text('id'),
            $fields->positive('weight'),
            $credit,
            $kind,
            $critical && $ends && $kind !== CriterionKind::Measured,
            $critical && $ends && $kind === CriterionKind::Measured,
            $level,
            $fields->flag('must', false),
            $fields->flag('safety', false),
            $fields->flag('why', false),
        );
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

    /**
     * @return array{float|null, string, bool} credit, level, and whether it ends a critical line
     *
     * @throws InvalidInput
     */
    private static function observed(Fields $fields, float $promptedCredit): array
    {
        $level = $fields->choice('result', self::OBSERVED, 'not_seen');
        $promptStops = $fields->flag('critical_prompt_stops', false);

        return [match ($level) {
            'met' => 1.0,
            'prompted' => $promptedCredit,
            'not_met' => 0.0,
            default => null,
        }, $level, $level === 'not_met' || ($level === 'prompted' && $promptStops)];
    }

    /**
     * A critical one at 0 is not met, and ends it as an observed one does.
     *
     * @return array{float|null, string|null, bool}
     *
     * @throws InvalidInput
     */
    private static function judged(Fields $fields): array
    {
        $scale = $fields->integer('scale_max', 1);
        $value = $fields->has('result') ? $fields->integer('result', 0, $scale) : null;

        return [$value === null ? null : $value / $scale, $value === 0 ? 'nothing' : null, $value === 0];
    }

    /**
     * By its value and limits, or by the verdict that its readings came to.
     *
     * @return array{float|null, null, bool}
     *
     * @throws InvalidInput
     */
    private static function measured(Fields $fields): array
    {
        $verdict = match (true) {
            $fields->has('verdict') => Verdict::from($fields->choice('verdict', array_column(Verdict::cases(), 'value'))),
            $fields->has('value_mm') => JudgeMeasurement::fromFields($fields)->compute()->verdict,
            default => Verdict::Doubtful,
        };

        return [match ($verdict) {
            Verdict::In => 1.0,
            Verdict::Out => 0.0,
            Verdict::Doubtful => null,
        }, null, $verdict === Verdict::Out];
    }
}
