<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/** What somebody comes to who meets the critical lines of a sheet and no other: a sheet that they pass is one on which nobody can fail. */
final class CriticalLinesAlone
{
    /**
     * @param  Fields  $fields  as `score_assessment` has them, without results
     *
     * @throws InvalidInput
     */
    public static function score(Fields $fields): Score
    {
        return ScoreAssessment::fromFields(Fields::of([
            ...$fields->toArray(), 'criteria' => array_map(self::left(...), self::asked($fields->objects('criteria', 1))),
        ]))->compute();
    }

    /**
     * Of the reasons only as many as are asked for, those that weigh least: whoever is lucky loses no more.
     *
     * @param  list<Fields>  $lines
     * @return list<Fields>
     *
     * @throws InvalidInput
     */
    private static function asked(array $lines): array
    {
        $weights = [];
        foreach ($lines as $index => $line) {
            $line->has('follow_ups') && $weights[$index] = $line->positive('weight');
        }
        asort($weights);

        return array_values(array_diff_key($lines, array_slice($weights, LinesFor::REASONS, null, true)));
    }

    /**
     * @return array<mixed>
     *
     * @throws InvalidInput
     */
    private static function left(Fields $line): array
    {
        $critical = $line->flag('critical', false);
        $plain = array_diff_key($line->toArray(), ['value_mm' => 0, 'result' => 0]);

        return match (CriterionKind::tryFrom($line->text('kind'))) {
            CriterionKind::Observed => [...$plain, 'result' => $critical ? 'met' : 'not_met'],
            CriterionKind::Judged => [...$plain, 'result' => $critical ? $line->integer('scale_max', 1) : 0],
            CriterionKind::Measured => [...$plain, 'verdict' => $critical ? 'in' : 'out'],
            // Whatever it is, the score says what is wrong with it.
            null => $plain,
        };
    }
}
