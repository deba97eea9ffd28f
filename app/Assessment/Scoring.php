<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Policy\Policy;
use App\Support\Given;
use MillStep\Core\Assessment\Score;
use MillStep\Core\Assessment\ScoreAssessment;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Measure\JudgeMeasurement;
use MillStep\Core\Measure\TruePosition;
use MillStep\Core\Policy\ShopPolicy;

/** Lays a sheet and its marks before the core. */
final class Scoring
{
    private ?ShopPolicy $policy = null;

    /** @throws \MillStep\Core\Border\CoreException when a sheet is not readable */
    public function score(SheetAttempt $attempt): Score
    {
        return ScoreAssessment::fromFields(Fields::of([
            'criteria' => array_map(fn (array $criterion): array => $this->forCore($attempt, $criterion), $attempt->sheet->criteria),
            'pass_mark_percent' => $attempt->sheet->pass_mark_percent,
            'prompted_credit' => $this->policy()->promptedCredit,
        ]))->compute();
    }

    /**
     * What a measured criterion came to, once it is filled in.
     *
     * @param  array<string, mixed>  $criterion
     * @return array{verdict: string, value_mm: float, deviation_mm: float}|null
     */
    public function judged(SheetAttempt $attempt, array $criterion): ?array
    {
        $fields = $this->forCore($attempt, $criterion);
        if (! isset($fields['value_mm'])) {
            return null;
        }
        $judgement = JudgeMeasurement::fromFields(Fields::of($fields))->compute();

        return [
            'verdict' => $judgement->verdict->value,
            'value_mm' => Given::number($fields['value_mm']),
            'deviation_mm' => $judgement->deviation->inMm(),
        ];
    }

    /**
     * The limits that the drawing sets for a measured criterion. A position counts from 0 to its tolerance.
     *
     * @param  array<string, mixed>  $criterion
     * @return array{lower_mm: float, upper_mm: float}
     */
    public function limits(SheetAttempt $attempt, array $criterion): array
    {
        $hole = $attempt->sheet->part->hole(Given::text($criterion['hole']));

        return $criterion['measure'] === 'position'
            ? ['lower_mm' => 0.0, 'upper_mm' => $hole['position_tolerance_mm']]
            : ['lower_mm' => $hole['lower_mm'], 'upper_mm' => $hole['upper_mm']];
    }

    /**
     * @param  array<string, mixed>  $criterion
     * @return array<string, mixed>
     */
    private function forCore(SheetAttempt $attempt, array $criterion): array
    {
        $mark = $attempt->marks[Given::text($criterion['id'])] ?? [];
        if ($criterion['kind'] !== 'measured') {
            return [...$criterion, ...array_intersect_key($mark, ['result' => true])];
        }
        $limits = $this->limits($attempt, $criterion);
        if ($criterion['measure'] === 'position') {
            if (! isset($mark['dx_mm'], $mark['dy_mm'])) {
                return [...$criterion, ...$limits];
            }
            $position = (new TruePosition(Length::mm($mark['dx_mm']), Length::mm($mark['dy_mm']), Length::mm($limits['upper_mm'])))
                ->compute()->position
                ->inMm();

            // A position has no lower limit to be doubtful about.
            return [
                ...$criterion,
                ...$limits,
                'lower_mm' => -$limits['upper_mm'],
                'value_mm' => $position,
                'uncertainty_mm' => $this->policy()->caliperUncertainty->inMm(),
            ];
        }

        return isset($mark['value_mm'])
            ? [
                ...$criterion,
                ...$limits,
                'value_mm' => $mark['value_mm'],
                'uncertainty_mm' => $this->policy()->caliperUncertainty->inMm(),
            ]
            : [...$criterion, ...$limits];
    }

    /** Read once for a sheet, not for each of its criteria. */
    private function policy(): ShopPolicy
    {
        return $this->policy ??= Policy::inForce();
    }
}
