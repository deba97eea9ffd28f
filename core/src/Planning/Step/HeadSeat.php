<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Cutting\Cone;
use MillStep\Core\Planning\Drawing\Pen;
use MillStep\Core\Planning\Drawing\Style;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Hole\CrossHole;
use MillStep\Core\Planning\Hole\HoleRequest;
use MillStep\Core\Reference\FastenerHead;
use MillStep\Core\Workshop\Holding\Ring;

/** The seat over a clearance hole: a cone for a flat head, a counterbore for a cap screw, a clean flat for a washer. */
final class HeadSeat extends Kind
{
    /** Under a head at least so much of the fastener's diameter is left to pull on (workshop practice). */
    private const LEAST_UNDER = 0.5;

    public static function names(): array
    {
        return ['counterbore', 'spotface'];
    }

    public static function asked(): array
    {
        return ['rpm' => 'rpm', 'total_depth_mm' => 'mm'];
    }

    /** @param  Length  $drilled  the clearance hole, which guides the tool's pilot */
    public static function make(Job $job, HoleRequest $hole, FastenerHead $head, Length $drilled): PlanStep
    {
        $cone = $head->angleDeg !== null;
        $angle = $head->angleDeg ?? Countersink::ANGLE_DEG;
        $kind = $hole->purpose === 'spotfaced' ? 'spotface' : ($cone ? 'countersink' : 'counterbore');
        // On a slope the high side is cut down to the low one before the ring is clean.
        $slope = $head->seat->times(tan(deg2rad($hole->slopeDeg)));
        $depth = $head->seatDepth?->plus($slope) ?? Cone::depth($head->seat, $drilled, $angle);
        self::judge($job, $hole, $depth);
        $tool = $cone
            ? Message::of('planning.tool.head_countersink', ['angle_deg' => $head->angleDeg])
            : Message::of("planning.tool.$kind", ['seat_mm' => $head->seat->inMm(), 'pilot_mm' => $drilled->inMm()]);
        $cutting = $job->cut($tool, $head->seat, ['countersink' => 'countersinking', 'counterbore' => 'counterboring',
            'spotface' => 'spotfacing'][$kind]);
        $job->setup([
            'tool' => $kind, 'hand_tool' => false, 'powered' => true,
            'diameter_mm' => $head->seat->inMm(), 'cutting_diameter_mm' => (new Ring($head->seat, $drilled))->asWide()->inMm(),
            'rpm' => $cutting->speed->chosenRpm, 'operation_factor' => $cutting->factor,
        ]);

        $why = Message::of(['countersink' => 'planning.why.flat_head', 'counterbore' => 'planning.why.cap_head',
            'spotface' => 'planning.why.washer'][$kind], [
                'thread' => $hole->theThread()->designation, 'head_mm' => $head->diameter->inMm(),
            ]);

        return PlanStep::of($kind, $tool, $why)
            ->sized($head->seat, Figure::length('diameter_mm', $head->seat, ['countersink' => 'seat.cone', 'counterbore' => 'seat.bore',
                'spotface' => 'seat.washer'][$kind], '', [
                    'head_mm' => $head->diameter->inMm(),
                ])->teaching())
            ->toTip($depth, $cone
                ? Countersink::deep($depth, $head->seat, $drilled, $angle)
                : Figure::length('total_depth_mm', $depth, $kind === 'spotface' ? 'seat.skim' : 'seat.deep',
                    $slope->isPositive() ? 'depth = skim + D · tan(slope)' : '', $kind === 'spotface' ? [
                        'skim_mm' => $head->seatDepth?->inMm() ?? 0.0, 'D_mm' => $head->seat->inMm(), 'slope_deg' => $hole->slopeDeg,
                    ] : ['head_mm' => $head->diameter->inMm()])->teaching())
            ->spun($cutting, $job->machine)
            ->needing(Message::of(['countersink' => 'planning.needs.try_flat_head', 'counterbore' => 'planning.needs.counterbore_pilot',
                'spotface' => 'planning.needs.spotface_clean'][$kind].(! $cone && $job->material->keepsDry() ? '_dry' : ''), [
                    'seat_mm' => round($head->seat->inMm(), 2), 'depth_mm' => round($depth->inMm(), 1), 'pilot_mm' => $drilled->inMm(),
                ]))
            ->wetted($job->material->lubricant->word());
    }

    public static function draw(Pen $pen, PlanStep $step, Section $section): void
    {
        if ($step->diameter === null || $step->totalDepth === null) {
            return;
        }
        $half = $step->diameter->inMm() / 2;
        $deep = -$step->totalDepth->inMm();
        $hole = $section->diameterMm / 2;
        $pen->path(Style::Thin, [[-$half, 0], [-$half, $deep], [-$hole, $deep]]);
        $pen->path(Style::Thin, [[$half, 0], [$half, $deep], [$hole, $deep]]);
    }

    private static function judge(Job $job, HoleRequest $hole, Length $depth): void
    {
        if ($hole->slopeDeg > CrossHole::STEEPEST_DEG + 1e-9) {
            $job->missing(Message::of('planning.lacks.flat_for_slope', [
                'slope_deg' => $hole->slopeDeg, 'most_deg' => CrossHole::STEEPEST_DEG,
            ]));
        }
        $least = $hole->theThread()->major->times(self::LEAST_UNDER);
        $left = $job->thickness->minus($depth);
        if ($left->isLessThan($least)) {
            $job->missing(Message::of('planning.lacks.under_head', [
                'depth_mm' => round($depth->inMm(), 1), 'stock_mm' => $job->thickness->inMm(),
                'left_mm' => max(0.0, round($left->inMm(), 1)), 'least_mm' => round($least->inMm(), 1),
            ]));
        }
    }
}
