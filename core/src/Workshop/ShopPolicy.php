<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Competency\Stage;
use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;
use MillStep\Core\Measure\Length;
use MillStep\Core\Planning\PilotSchool;
use MillStep\Core\Planning\ReamSchool;

/** The shop's schools, caps and limits. What a shop has not set stands at the careful value. */
final readonly class ShopPolicy
{
    /** @param  'close'|'normal'|'loose'  $clearanceFit */
    private function __construct(
        public PilotSchool $pilotSchool,
        public Length $pilotThreshold,
        public float $webRatio,
        public float $maxStepRatio,
        public ?float $learnerCapRpm,
        public Stage $supervisedFrom,
        public bool $companionRequired,
        public bool $guardianRequired,
        public float $promptedCredit,
        public int $presenceMinutes,
        public Length $caliperUncertainty,
        public Length $breakthrough,
        public Hours $hours,
        public ClearanceRule $clearanceRule,
        public string $clearanceFit,
        public Length $clearancePlus,
        public ReamSchool $reamSchool,
        public Length $reamStep,
        public SpeedSchool $speedSchool,
        public float $shopSpeedRpm,
        public float $grabFactor,
        public float $overhangRatio,
        public float $edgeRatio,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            PilotSchool::from($fields->choice('pilot_school', array_column(PilotSchool::cases(), 'value'), 'web')),
            $fields->lengthOrZero('pilot_threshold_mm', 6),
            $fields->between('web_ratio', 0, 1, 0.2),
            $fields->between('max_step_ratio', 1, 1000, 2.5),
            $fields->has('learner_cap_rpm') ? $fields->positive('learner_cap_rpm') : null,
            Stage::from($fields->integer('supervised_from_stage', 0, 5, 2)),
            $fields->flag('companion_required', false),
            $fields->flag('guardian_required', true),
            $fields->notNegative('prompted_credit', 0.5),
            $fields->integer('presence_minutes', 1, 1440, 240),
            $fields->lengthOrZero('caliper_uncertainty_mm', 0.02),
            $fields->lengthOrZero('breakthrough_mm', 1),
            Hours::fromFields($fields),
            ClearanceRule::from($fields->choice('clearance_rule', array_column(ClearanceRule::cases(), 'value'), 'table')),
            $fields->choice('clearance_fit', ['close', 'normal', 'loose'], 'normal'),
            $fields->lengthOrZero('clearance_plus_mm', 0.5),
            ReamSchool::from($fields->choice('ream_school', array_column(ReamSchool::cases(), 'value'), 'table')),
            $fields->length('ream_step_mm', 0.2),
            SpeedSchool::from($fields->choice('speed_school', array_column(SpeedSchool::cases(), 'value'), 'surface')),
            $fields->positive('shop_speed_rpm', 500),
            $fields->positive('grab_factor', 3),
            $fields->positive('overhang_ratio', 3),
            $fields->positive('edge_ratio', 1.5),
        );
    }
}
