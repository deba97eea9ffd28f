<?php

declare(strict_types=1);

namespace App\Assessment;

use App\People\User;
use App\Workshop\Gauges\Gauge;
use MillStep\Core\Assessment\Measuring\WaysOfMeasuring;
use MillStep\Core\Border\Fields;
use MillStep\Core\Measure\Agreement;
use MillStep\Core\Measure\GaugeRepeatability;
use MillStep\Core\Measure\ReaderAgreement;
use MillStep\Core\Measure\Repeatability;

/** What readings of sizes say of those who read and of what they read with. */
final readonly class Measured
{
    public function __construct(private Scoring $scoring)
    {
    }

    /**
     * A learner's readings beside those of whoever assessed, of sheets that are concluded: the earliest first.
     *
     * @return list<array{attempt: string, text: string, at: string, learner_mm: float, examiner_mm: float}>
     */
    public function pairs(User $learner): array
    {
        $pairs = [];
        $attempts = SheetAttempt::withSheet()->where('learner_id', $learner->id)->whereNotNull('concluded_at')
            ->orderBy('concluded_at')->get();
        foreach ($attempts as $attempt) {
            foreach ($attempt->criteria() as $criterion) {
                // How far off a hole lies is no size that one reads well or badly.
                if ($criterion['kind'] !== 'measured' || WaysOfMeasuring::asks($criterion['measure'] ?? '') !== 'length') {
                    continue;
                }
                $read = new Apart($this->scoring, $attempt, $criterion);
                [$theirs, $ours] = [$read->last(Seat::Learner), $read->last(Seat::Assessor)];
                if ($theirs !== null && $ours !== null) {
                    $pairs[] = [
                        'attempt' => $attempt->id, 'text' => $criterion['text'],
                        'at' => (string) $attempt->concluded_at?->toIso8601ZuluString(),
                        'learner_mm' => $theirs->coordinate('value_mm')->inMm(), 'examiner_mm' => $ours->coordinate('value_mm')->inMm(),
                    ];
                }
            }
        }

        return $pairs;
    }

    /** @param  list<array{learner_mm: float, examiner_mm: float}>  $pairs */
    public function agreement(array $pairs): ?Agreement
    {
        return $pairs === [] ? null : ReaderAgreement::fromFields(Fields::of(['pairs' => $pairs]))->compute();
    }

    /** From features that one reader read more than once with it; null where there is none. */
    public function repeatability(Gauge $gauge): ?Repeatability
    {
        $sets = [];
        $lines = Mark::query()->where('gauge_id', $gauge->id)->where('kind', 'reading')->orderBy('seq')->get();
        foreach ($lines as $mark) {
            $value = $mark->value['figures']['value_mm'] ?? null;
            if (is_numeric($value)) {
                $sets["{$mark->attempt_id} {$mark->criterion} {$mark->by_id}"][] = ['mm' => (float) $value];
            }
        }
        $repeated = array_values(array_filter($sets, static fn (array $set): bool => count($set) > 1));

        return $repeated === [] ? null : GaugeRepeatability::fromFields(Fields::of([
            'sets' => array_map(static fn (array $set): array => ['readings' => $set], $repeated),
        ]))->compute();
    }
}
