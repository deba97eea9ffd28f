<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Policy\ShopNow;
use App\Workshop\Gauges\Gauge;
use MillStep\Core\Assessment\Loss;
use MillStep\Core\Assessment\Measuring\Found;
use MillStep\Core\Assessment\Measuring\Wanted;
use MillStep\Core\Assessment\Measuring\WaysOfMeasuring;
use MillStep\Core\Assessment\Score;
use MillStep\Core\Assessment\ScoreAssessment;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Policy\ShopPolicy;

/**
 * Lays a sheet and its marks before the core.
 *
 * @phpstan-import-type SheetCriterion from Sheet
 */
final class Scoring
{
    /** @var array<string, Wanted> by attempt and criterion; an attempt keeps the version in which it was opened */
    private array $wanted = [];

    public function __construct(private readonly ShopNow $shop)
    {
    }

    /** @throws \MillStep\Core\Border\CoreException when a sheet is not readable */
    public function score(SheetAttempt $attempt, Seat $seat = Seat::Assessor): Score
    {
        return $this->scored($attempt, $seat)->compute();
    }

    /**
     * What the score is not, criterion by criterion.
     *
     * @return list<Loss>
     *
     * @throws \MillStep\Core\Border\CoreException when a sheet is not readable
     */
    public function losses(SheetAttempt $attempt): array
    {
        return $this->scored($attempt, Seat::Assessor)->losses();
    }

    private function scored(SheetAttempt $attempt, Seat $seat): ScoreAssessment
    {
        $lines = array_map(
            fn (array $criterion): array => $this->forCore($attempt, $criterion, $seat),
            $attempt->criteria(),
        );

        return ScoreAssessment::fromFields(Sheet::asked($lines, $attempt->sheet->pass_mark_percent, [
            ...$attempt->sheet->gates ?? [], 'prompted_credit' => $this->policy()->promptedCredit,
        ]));
    }

    /**
     * What a measured criterion's readings came to, once there are any.
     *
     * @param  SheetCriterion  $criterion
     *
     * @throws \MillStep\Core\Border\CoreException when a sheet is not readable
     */
    public function found(SheetAttempt $attempt, array $criterion, Seat $seat = Seat::Assessor): ?Found
    {
        $readings = $attempt->marks()->readings($criterion['id'], $seat);

        return $readings === [] ? null : $this->wanted($attempt, $criterion)->found(
            array_map(static fn (Mark $reading): Fields => $reading->figures(), $readings),
            $this->uncertainty($readings),
        );
    }

    /**
     * What the drawing wants there, with the hole's own figures and the learner's own dimensions.
     *
     * @param  SheetCriterion  $criterion
     *
     * @throws \MillStep\Core\Border\CoreException when a sheet is not readable
     */
    public function wanted(SheetAttempt $attempt, array $criterion): Wanted
    {
        return $this->wanted["{$attempt->id} {$criterion['id']}"] ??= WaysOfMeasuring::of(Fields::of([
            ...(isset($criterion['hole']) ? $attempt->sheet->part->hole($criterion['hole']) : []), ...$criterion,
        ]), $attempt->personal());
    }

    /**
     * The poorest gauge that was used; the shop's caliper where none was named.
     *
     * @param  non-empty-list<Mark>  $readings
     */
    private function uncertainty(array $readings): Length
    {
        return Length::mm(max(array_map(fn (Mark $reading): float => $this->uncertaintyOf($reading->gauge)->inMm(), $readings)));
    }

    public function uncertaintyOf(?Gauge $gauge): Length
    {
        return $gauge === null ? $this->policy()->caliperUncertainty : Length::mm($gauge->uncertainty_mm);
    }

    /**
     * @param  SheetCriterion  $criterion
     * @return array<string, mixed>
     */
    private function forCore(SheetAttempt $attempt, array $criterion, Seat $seat): array
    {
        if ($criterion['kind'] === 'measured') {
            $found = $this->found($attempt, $criterion, $seat);

            return [
                ...array_intersect_key($criterion, ['id' => 0, 'kind' => 0, 'weight' => 0, 'critical' => 0, 'group' => 0]),
                ...($found === null ? [] : ['verdict' => $found->verdict->value]),
            ];
        }
        $result = $attempt->marks()->verdict($criterion['id'], $seat)?->value['result'] ?? null;

        return $result === null || ($result === 'not_seen' && $criterion['kind'] === 'judged')
            ? $criterion : [...$criterion, 'result' => $result];
    }

    private function policy(): ShopPolicy
    {
        return $this->shop->policy();
    }
}
