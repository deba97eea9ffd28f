<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Bound;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Step\PlanStep;

/** Every operation of a plan in a lesson's own words: `drill.speed`, `tap.turns`, `part_off.dial`. */
final class CaseFigures
{
    /** What a lesson calls a figure of the plan. */
    private const SAID = [
        'rpm' => 'speed', 'diameter_mm' => 'size', 'depth_mm' => 'depth', 'total_depth_mm' => 'tip', 'reading_mm' => 'scale',
        'feed_mm_rev' => 'feed', 'torque_nm' => 'torque', 'dial_divisions' => 'divisions', 'move_mm' => 'move', 'demand_nm' => 'demand',
        'passes_mm' => 'to', 'limits_mm' => 'most',
    ];

    /** @return array<string, Figure> by key */
    public static function of(BoundCase $case): array
    {
        $figures = [];
        foreach ($case->steps() as $name => $step) {
            foreach ($step->figures as $figure) {
                if (isset(self::SAID[$figure->key])) {
                    $figures[] = $figure->as($name.'.'.self::SAID[$figure->key]);
                }
            }
            $figures = [...$figures, ...self::words($name, $step)];
        }
        $figures = [...$figures, ...self::lengths($case), ...self::batch($case), ...TeachingFigures::of($case)];

        return array_combine(array_map(static fn (Figure $figure): string => $figure->key, $figures), $figures);
    }

    /** @return list<Figure> what a step says in words, or counts */
    private static function words(string $name, PlanStep $step): array
    {
        $said = static fn (string $key, Message|string|int|null $words): ?Figure => $words === null ? null
            : Figure::text("$name.$key", is_int($words) ? (string) $words : $words, 'lesson.plan', []);
        $passes = count($step->passes);

        return array_values(array_filter([
            $said('tool', $step->tool),
            $said('lubricant', $step->lubricant),
            $said('dial', $step->dialReading),
            $said('turns', $step->turns),
            $said('times', $step->repeat),
            $passes === 0 ? null : $said('passes', $passes),
            $step->pecks === [] ? null : $said('pecks', count($step->pecks)),
            $step->scaleReading === null ? null : $said('reading', $step->scaleReading),
            $step->figure('diameter_mm') !== null || $step->diameter === null ? null
                : Figure::length("$name.size", $step->diameter, 'lesson.plan'),
        ], static fn (?Figure $figure): bool => $figure !== null));
    }

    /** @return list<Figure> the stock and what is wanted of it */
    private static function lengths(BoundCase $case): array
    {
        $all = [
            'work.thickness' => $case->thickness, 'work.bar' => $case->bar, 'work.outside' => $case->outside, 'work.blade' => $case->blade,
            'work.bore' => $case->bore(), 'work.deep' => $case->wanted?->depth,
            'limits.least' => $case->wanted?->limits?->lower, 'limits.most' => $case->wanted?->limits?->upper,
            'out.has' => $case->out(), 'out.most' => $case->mayStandOut(),
        ];
        $figures = [];
        foreach ($all as $key => $length) {
            if ($length !== null) {
                $figures[] = str_starts_with($key, 'limits.')
                    ? Figure::fine($key, $length, 'lesson.case.limits', '', [], 3) : Figure::length($key, $length, 'lesson.case.given');
            }
        }
        if ($case->mayStandOut() !== null && $case->bar !== null) {
            $figures[] = Figure::text('out.ratio', self::plain($case->policy->overhangRatio), 'lesson.case.out_ratio', []);
            $figures[] = Figure::length('grip.least', $case->bar, 'lesson.case.grip');
        }

        return $figures;
    }

    /** @return list<Figure> of pieces parted off one bar */
    private static function batch(BoundCase $case): array
    {
        $batch = $case->plan->batch ?? [];
        $figures = [];
        foreach ([
            'batch.move' => 'move_mm',
            'batch.deep' => 'drilled_full_depth_mm',
            'batch.tip' => 'drilled_total_depth_mm',
        ] as $key => $of) {
            if (is_float($batch[$of] ?? null)) {
                $figures[] = Figure::length($key, Length::mm($batch[$of]), 'lesson.case.batch');
            }
        }
        if (is_int($batch['count'] ?? null)) {
            $figures[] = Figure::text('batch.count', (string) $batch['count'], 'lesson.case.batch', []);
        }

        return $figures;
    }

    public static function plain(float $value): string
    {
        return rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');
    }
}
