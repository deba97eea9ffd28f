<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

use MillStep\Core\Assessment\PlanFigure;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Measure\CaliperTips;
use MillStep\Core\Measure\FitTable;
use MillStep\Core\Measure\Limits;
use MillStep\Core\Measure\Verdict;

/**
 * A size between two limits: from the drawing of the part (`lower_mm`, `upper_mm`), about a nominal size or one of the learner's
 * own dimensions (`nominal_mm` or `dimension`, with `fit`, or `plus_mm` and `minus_mm`), or anything up to a most (`at_most_mm`).
 */
final readonly class WantedSize implements Wanted
{
    private function __construct(private Feature $feature, private ?Length $lower, private Length $upper)
    {
    }

    public static function fromFields(Fields $fields, array $personal): static
    {
        $feature = Feature::from($fields->choice('feature', array_column(Feature::cases(), 'value'), Feature::Bore->value));
        if ($fields->has('at_most_mm')) {
            return new self($feature, null, $fields->length('at_most_mm'));
        }
        $limits = self::between($fields, $personal);

        return new self($feature, $limits->lower, $limits->upper);
    }

    /**
     * @param  array<string, Length>  $personal
     *
     * @throws CoreException
     */
    private static function between(Fields $fields, array $personal): Limits
    {
        if ($fields->has('lower_mm')) {
            [$lower, $upper] = [$fields->lengthOrZero('lower_mm'), $fields->length('upper_mm')];

            return $upper->isLessThan($lower) ? throw $fields->fault('upper_mm', 'input.below', ['other' => 'lower_mm'])
                : new Limits($lower, $upper);
        }
        $nominal = match (true) {
            // What the plan gives, with the learner's own sizes and tools.
            $fields->has('bound') => Length::mm(PlanFigure::fromFields($fields->object('bound'))->of($personal)),
            $fields->has('dimension') => $personal[$fields->text('dimension')]
                ?? throw $fields->fault('dimension', 'assessment.no_dimension'),
            default => $fields->length('nominal_mm'),
        };
        // What is still on it when it comes off, to be taken off later.
        $nominal = $nominal->plus($fields->lengthOrZero('allowance_mm', 0));
        if ($fields->has('fit')) {
            return FitTable::limits($fields->text('fit'), $nominal);
        }
        $lower = $nominal->minus($fields->lengthOrZero('minus_mm', 0));

        return $lower->isPositive() ? new Limits($lower, $nominal->plus($fields->lengthOrZero('plus_mm', 0)))
            : throw $fields->fault('minus_mm', 'assessment.nothing_left');
    }

    public function read(array $typed, string $units, Length $zeroError, ?CaliperTips $tips = null): array
    {
        $value = Typed::length($typed, 'value', $units, signed: $this->lower === null)->minus($zeroError);
        if ($tips !== null && $this->feature === Feature::Bore) {
            return ['value_mm' => $tips->bore($value)->inMm(), 'read_mm' => $value->inMm()];
        }

        // How far something is off is as bad to the one side as to the other.
        return ['value_mm' => ($this->lower === null ? $value->absolute() : $value)->inMm()];
    }

    public function found(array $readings, Length $uncertainty): Found
    {
        // What has no lower limit is never too small: a gap of nothing is as good as it gets.
        $lower = $this->lower ?? Length::zero()->minus($this->upper)->minus($uncertainty)->minus(Length::mm(1000));
        $values = array_map(static fn (Fields $reading): Length => $reading->coordinate('value_mm'), $readings);
        $all = new Repeated($values, $lower, $this->upper, $uncertainty);
        $side = $all->side();
        $verdict = $all->verdict();
        $terms = ['value_mm' => $all->mean()->inMm(), 'upper_mm' => $this->upper->inMm(), 'uncertainty_mm' => $uncertainty->inMm()];
        $terms += $this->lower === null ? [] : ['lower_mm' => $this->lower->inMm()];
        $over = $side === Side::Under ? $lower->minus($all->mean()) : $all->mean()->minus($this->upper);
        $why = match (true) {
            $verdict === Verdict::Doubtful => Message::of('assessment.found.doubtful', [...$terms, 'count' => $all->left()]),
            $all->isByMean() => Message::of("assessment.found.mean_{$verdict->value}", [
                ...$terms, 'spread_mm' => $all->spread()->inMm(), 'count' => count($values),
            ]),
            $side !== null => Message::of("assessment.found.{$side->value}", [...$terms, 'by_mm' => $over->inMm()]),
            default => Message::of('assessment.found.in', $terms),
        };
        $out = $verdict === Verdict::Out;

        return new Found(
            $verdict,
            $why,
            count($values),
            $verdict === Verdict::Doubtful ? $all->left() : 0,
            $all->mean(),
            $all->spread(),
            $out && $this->feature->canBeSaved($side),
            $out ? Message::of($this->feature->whatThen($side), ['by_mm' => $over->inMm()]) : null,
        );
    }

    public static function asks(): string
    {
        return 'length';
    }

    /** Limits closer together than what the gauge may be wrong by to both sides are told by no number of readings. */
    public function canBeToldBy(Length $uncertainty): bool
    {
        return $this->lower === null ? $uncertainty->isLessThan($this->upper)
            : $uncertainty->times(2)->isLessThan($this->upper->minus($this->lower));
    }

    /** @throws InvalidInput */
    public function apart(Fields $one, Fields $other): Length
    {
        return $one->coordinate('value_mm')->minus($other->coordinate('value_mm'));
    }

    public function limits(): array
    {
        return [...($this->lower === null ? [] : ['lower_mm' => $this->lower->inMm()]), 'upper_mm' => $this->upper->inMm()];
    }
}
