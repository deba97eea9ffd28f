<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Apart;
use App\Assessment\Mark;
use App\Assessment\Scoring;
use App\Assessment\Seat;
use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\Assessment\Viewer;
use MillStep\Core\Assessment\Measuring\WaysOfMeasuring;

/**
 * One criterion with what was found for it, as far as whoever looks may see it.
 *
 * @phpstan-import-type SheetCriterion from Sheet
 */
final readonly class CriterionShown
{
    public function __construct(private Scoring $scoring, private SheetAttempt $attempt, private Viewer $viewer)
    {
    }

    /**
     * @param  SheetCriterion  $criterion
     * @return array<string, mixed>
     */
    public function toArray(array $criterion): array
    {
        $marks = $this->attempt->marks();
        $seat = $this->viewer->seat();
        $mine = $this->viewer->seesVerdicts($this->attempt);
        $verdict = $mine ? $marks->verdict($criterion['id'], $seat) : null;

        return [
            ...array_intersect_key($criterion, array_flip([
                'id', 'group', 'kind', 'weight', 'critical', 'critical_prompt_stops', 'text', 'scale_max', 'hole', 'lesson',
                'must', 'follow_ups', 'not_critical_because',
            ])),
            'stops_on' => Sheet::stopsOn($criterion),
            ...(isset($criterion['levels']) ? ['levels' => (object) $criterion['levels']] : []),
            'mark' => $verdict === null ? null : self::mark($verdict, $this->viewer),
            'before' => $mine ? array_map(self::before(...), $marks->before($criterion['id'], $seat)) : [],
            'notes' => $mine ? array_map(self::note(...), $marks->notes($criterion['id'])) : [],
            'second' => $this->viewer !== Viewer::Second && $this->viewer->seesSecond($this->attempt)
                ? $marks->verdict($criterion['id'], Seat::Second)?->value['result'] ?? null : null,
            ...($criterion['kind'] === 'measured' ? $this->measured($criterion) : []),
        ];
    }

    /**
     * @param  SheetCriterion  $criterion
     * @return array<string, mixed>
     */
    private function measured(array $criterion): array
    {
        $marks = $this->attempt->marks();
        [$learner, $assessor] = [$marks->readings($criterion['id'], Seat::Learner), $marks->readings($criterion['id'])];
        $both = $assessor !== [] && $marks->learnerIsDone($criterion['id']);
        $ended = ! $this->attempt->isOpen();
        $seesLearner = $both || $ended || $this->viewer === Viewer::Learner;
        $seesAssessor = $this->viewer !== Viewer::Learner || $both || $ended;
        $apart = new Apart($this->scoring, $this->attempt, $criterion);
        $readers = $apart->readers();
        $place = isset($criterion['hole']) ? $this->attempt->sheet->part->hole($criterion['hole']) : $criterion;

        return [
            'asks' => WaysOfMeasuring::asks($criterion['measure'] ?? ''),
            'wants' => (object) $this->scoring->wanted($this->attempt, $criterion)->limits(),
            'place' => ($criterion['measure'] ?? '') === 'position' && isset($place['x_mm'], $place['y_mm'])
                ? ['x_mm' => $place['x_mm'], 'y_mm' => $place['y_mm']] : null,
            'found' => $seesAssessor ? $this->scoring->found($this->attempt, $criterion)?->toArray() : null,
            'readings' => $seesAssessor ? array_map(self::reading(...), $assessor) : [],
            'learner' => [
                'done' => $marks->learnerIsDone($criterion['id']),
                'declined' => $marks->learnerDeclined($criterion['id']),
                'why' => $marks->whyDeclined($criterion['id']),
                'readings' => $seesLearner ? array_map(self::reading(...), $learner) : null,
                'found' => $seesLearner ? $this->scoring->found($this->attempt, $criterion, Seat::Learner)?->toArray() : null,
            ],
            'apart_mm' => $seesLearner && $seesAssessor ? $apart->by()?->inMm() : null,
            'too_far_apart' => $seesLearner && $seesAssessor && $readers->areTooFarApart(),
            'turn' => $ended ? null : $readers->next(),
        ];
    }

    /** @return array<string, mixed> */
    private static function mark(Mark $mark, Viewer $viewer): array
    {
        return [
            'id' => $mark->id, 'result' => $mark->value['result'] ?? 'not_seen', 'by' => $mark->by->name, 'why' => $mark->why,
            'made_at' => $mark->made_at->toIso8601ZuluString('millisecond'),
            'said_at' => $viewer === Viewer::Learner ? null : $mark->said_at?->toIso8601ZuluString(),
        ];
    }

    /** @return array<string, mixed> what counts no longer */
    private static function before(Mark $mark): array
    {
        return [
            'result' => $mark->value['result'] ?? null, 'typed' => implode(' ; ', $mark->value['typed'] ?? []) ?: null,
            'by' => $mark->by->name, 'made_at' => $mark->made_at->toIso8601ZuluString(),
        ];
    }

    /** @return array<string, mixed> */
    public static function note(Mark $mark): array
    {
        return [
            'id' => $mark->id, 'text' => $mark->value['text'] ?? '', 'by' => $mark->by->name,
            'made_at' => $mark->made_at->toIso8601ZuluString(),
        ];
    }

    /** @return array<string, mixed> */
    private static function reading(Mark $mark): array
    {
        return [
            'id' => $mark->id, 'typed' => (object) ($mark->value['typed'] ?? []), 'units' => $mark->value['units'] ?? 'mm',
            'gauge' => $mark->gauge?->name, 'gauge_late' => $mark->value['late'] ?? false,
            'gauge_checked_on' => $mark->value['checked_on'] ?? null, 'zero_mm' => $mark->value['zero_mm'] ?? 0.0,
            'tip_mm' => isset($mark->value['figures']['read_mm']) ? $mark->value['tip_mm'] ?? null : null,
            'came_to_mm' => $mark->value['figures']['value_mm'] ?? null,
            'by' => $mark->by->name, 'made_at' => $mark->made_at->toIso8601ZuluString('millisecond'), 'why' => $mark->why,
        ];
    }
}
