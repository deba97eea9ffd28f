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
        'judge_measurement' => Measure\JudgeMeasurement::class,
        'true_position' => Measure\TruePosition::class,
        'spindle_speed' => Planning\SpindleSpeed::class,
        'drill_point' => Planning\DrillPoint::class,
        'pilot_plan' => Planning\PilotPlan::class,
        'reaction' => Setup\Reaction::class,
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
