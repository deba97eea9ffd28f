<?php

declare(strict_types=1);

namespace MillStep\Core;

use MillStep\Core\Exception\CoreException;
use MillStep\Core\Exception\Impossible;
use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Exception\UnknownOperation;

/** The only list of operations: bin/compute and the API both read it. */
final class Operations
{
    /** @var array<string, class-string<Operation>> */
    public const LIST = [
        'parse_size' => Measure\ParseSize::class,
        'spindle_speed' => Planning\SpindleSpeed::class,
        'cut_time' => Planning\CutTime::class,
        'drill_point' => Planning\DrillPoint::class,
        'peck_plan' => Planning\PeckPlan::class,
        'pilot_plan' => Planning\PilotPlan::class,
        'drilling_torque' => Setup\DrillingTorque::class,
        'holding_check' => Setup\HoldingCheck::class,
        'reaction' => Setup\Reaction::class,
        'thread_percent' => Planning\ThreadPercent::class,
        'tap_drill' => Planning\TapDrill::class,
        'blind_tap_depth' => Planning\BlindTapDepth::class,
        'tap_choice' => Planning\TapChoice::class,
        'ream_plan' => Planning\ReamPlan::class,
        'centre_drill_choice' => Planning\CentreDrillChoice::class,
        'centre_drill_depth' => Planning\CentreDrillDepth::class,
        'centre_drill_verdict' => Planning\CentreDrillVerdict::class,
        'find_centre' => Measure\FindCentre::class,
        'centre_finder_check' => Measure\CentreFinderCheck::class,
        'mark_correction' => Measure\MarkCorrection::class,
        'stick_out' => Planning\StickOut::class,
        'dial_move' => Planning\DialMove::class,
        'turning_passes' => Planning\TurningPasses::class,
        'part_off_batch' => Planning\PartOffBatch::class,
        'cut_list' => Planning\CutList::class,
        'hole_line' => Planning\HoleLine::class,
        'hole_circle' => Planning\HoleCircle::class,
        'parallel_stack' => Planning\ParallelStack::class,
        'clearance_hole' => Planning\ClearanceHole::class,
        'judge_measurement' => Measure\JudgeMeasurement::class,
        'true_position' => Measure\TruePosition::class,
        'reader_agreement' => Measure\ReaderAgreement::class,
        'hole_plan' => Planning\HolePlan::class,
        'lathe_plan' => Planning\LathePlan::class,
        'layout_plan' => Planning\LayoutPlan::class,
        'setup_review' => Setup\SetupReview::class,
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
        } catch (\DomainException $tooLong) {
            throw Impossible::because(null, $tooLong->getMessage());
        }
    }
}
