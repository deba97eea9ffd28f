<?php

declare(strict_types=1);

namespace MillStep\Core;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Operation;
use MillStep\Core\Border\Result;
use MillStep\Core\Border\UnknownOperation;

/** The only list of operations: bin/compute and the API both read it. */
final class Operations
{
    /** @var array<string, class-string<Operation>> */
    public const LIST = [
        'parse_size' => Measure\ParseSize::class,
        'spindle_speed' => Planning\Cutting\SpindleSpeed::class,
        'cut_time' => Planning\Cutting\CutTime::class,
        'drill_point' => Planning\Cutting\DrillPoint::class,
        'peck_plan' => Planning\Hole\PeckPlan::class,
        'pilot_plan' => Planning\Hole\PilotPlan::class,
        'drilling_torque' => Workshop\Holding\DrillingTorque::class,
        'holding_check' => Workshop\Holding\HoldingCheck::class,
        'reaction' => Workshop\Holding\Reaction::class,
        'thread_percent' => Planning\Thread\ThreadPercent::class,
        'tap_drill' => Planning\Thread\TapDrill::class,
        'blind_tap_depth' => Planning\Thread\BlindTapDepth::class,
        'tap_choice' => Planning\Thread\TapChoice::class,
        'ream_plan' => Planning\Ream\ReamPlan::class,
        'centre_drill_choice' => Planning\Lathe\CentreDrillChoice::class,
        'centre_drill_depth' => Planning\Lathe\CentreDrillDepth::class,
        'centre_drill_verdict' => Planning\Lathe\CentreDrillVerdict::class,
        'find_centre' => Measure\FindCentre::class,
        'centre_finder_check' => Measure\CentreFinderCheck::class,
        'drill_grind_check' => Measure\DrillGrindCheck::class,
        'mark_correction' => Measure\MarkCorrection::class,
        'stick_out' => Planning\Lathe\StickOut::class,
        'dial_move' => Workshop\DialMove::class,
        'turning_passes' => Planning\Lathe\TurningPasses::class,
        'boring_passes' => Planning\Lathe\BoringPasses::class,
        'part_off_batch' => Planning\Lathe\PartOffBatch::class,
        'cut_list' => Planning\Stock\CutList::class,
        'hole_line' => Planning\Layout\HoleLine::class,
        'hole_circle' => Planning\Layout\HoleCircle::class,
        'parallel_stack' => Planning\Layout\ParallelStack::class,
        'clearance_hole' => Planning\Hole\ClearanceHole::class,
        'judge_measurement' => Measure\JudgeMeasurement::class,
        'true_position' => Measure\TruePosition::class,
        'reader_agreement' => Measure\ReaderAgreement::class,
        'gauge_repeatability' => Measure\GaugeRepeatability::class,
        'pin_place' => Measure\Pins\PinPlace::class,
        'pin_size' => Measure\Pins\PinSize::class,
        'tram_check' => Measure\Machine\TramCheck::class,
        'run_out_check' => Measure\Machine\RunOutCheck::class,
        'tailstock_check' => Measure\Machine\TailstockCheck::class,
        'taper_fit_check' => Measure\Machine\TaperFitCheck::class,
        'tapping_torque' => Planning\Thread\TappingTorque::class,
        'hole_plan' => Planning\Plan\HolePlan::class,
        'lathe_plan' => Planning\Plan\LathePlan::class,
        'layout_plan' => Planning\Layout\LayoutPlan::class,
        'setup_review' => Setup\SetupReview::class,
        'memory_state' => Learning\Memory\MemoryState::class,
        'assessor_agreement' => Assessment\AssessorAgreement::class,
        'score_assessment' => Assessment\ScoreAssessment::class,
        'standing' => Competency\Standing::class,
        'access_decision' => Competency\AccessDecision::class,
    ];

    /**
     * @param  array<array-key, mixed>  $input
     *
     * @throws CoreException
     */
    public static function compute(string $name, array $input): Result
    {
        $operation = self::LIST[$name] ?? throw UnknownOperation::named($name);
        if ($input !== [] && array_is_list($input)) {
            throw InvalidInput::notAnObject();
        }
        try {
            return $operation::fromFields(Fields::of($input))->compute();
        } catch (\DomainException) {
            throw Impossible::because(null, 'input.over_a_kilometre');
        }
    }
}
