<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Reference\Process;

/** The shop's schools, caps and limits. What a shop has not set stands at the careful value of PolicySettings. */
final readonly class ShopPolicy
{
    /**
     * @param  'close'|'normal'|'loose'  $clearanceFit
     * @param  array<string, Process>  $processes  by name
     */
    private function __construct(
        public PilotSchool $pilotSchool,
        public Length $pilotThreshold,
        public float $webRatio,
        public float $maxStepRatio,
        public StartSchool $startSchool,
        public ClearanceRule $clearanceRule,
        public string $clearanceFit,
        public Length $clearancePlus,
        public Length $breakthrough,
        public Length $thinSheet,
        public float $blindFloorRatio,
        public Length $blindFloor,
        public SpeedSchool $speedSchool,
        public float $shopSpeedRpm,
        public ?float $learnerCapRpm,
        public ChipSchool $chipSchool,
        public ReamSchool $reamSchool,
        public Length $reamStep,
        public ReversingSchool $reversingSchool,
        public MarkingSchool $markingSchool,
        public PunchingSchool $punchingSchool,
        public LocatingSchool $locatingSchool,
        public float $edgeRatio,
        public float $grabFactor,
        public float $grabFactorLathe,
        public Length $looseViceLimit,
        public float $overhangRatio,
        public float $bladeReachRatio,
        public Length $tailstockLeastOut,
        public int $supervisedFromStage,
        public bool $companionRequired,
        public CompanionSchool $companionSchool,
        public int $supervisedAtOnce,
        public bool $guardianRequired,
        public int $machinesAtOnce,
        public int $turnIdleMinutes,
        public int $deviceDays,
        public int $presenceMinutes,
        public Hours $hours,
        public int $familiarGraceDays,
        public bool $secondFactorRequired,
        public int $sharedIdleMinutes,
        public bool $anchorLetters,
        public int $checkWaitMinutes,
        public int $checkTriesADay,
        public int $recallQuestionsADay,
        public int $sheetWaitHours,
        public int $sheetExercises,
        public int $observedPassPercent,
        public int $promptLimit,
        public int $whyLimit,
        public int $secondViewEvery,
        public bool $gaugesInDate,
        public bool $dayCheckRequired,
        public bool $partPhotoRequired,
        public float $promptedCredit,
        public Length $caliperUncertainty,
        private array $processes,
    ) {
    }

    /** A shop that has set nothing. */
    public static function usual(): self
    {
        return self::fromFields(Fields::of([]));
    }

    /** @throws InvalidInput naming the setting that is at fault */
    public static function fromFields(Fields $fields): self
    {
        $settings = PolicySettings::all();
        $choice = static fn (string $key): string => $fields->choice(
            $key,
            $settings[$key]['choices'] ?? [],
            PolicySettings::carefulChoice($key),
        );
        $number = static function (string $key) use ($fields, $settings): float {
            $value = $fields->number($key, PolicySettings::careful($key));
            [$least, $most] = [$settings[$key]['least'] ?? -INF, $settings[$key]['most'] ?? INF];

            return $value >= $least && $value <= $most
                ? $value
                : throw $fields->fault($key, 'input.not_from_to', ['least' => $least, 'most' => $most, 'found' => $value]);
        };
        $length = static fn (string $key): Length => Length::mm($number($key));
        $flag = static fn (string $key): bool => $fields->flag($key, (bool) $settings[$key]['default']);
        $count = static fn (string $key): int => $fields->integer(
            $key,
            (int) ($settings[$key]['least'] ?? 0),
            (int) ($settings[$key]['most'] ?? 0),
            (int) PolicySettings::careful($key),
        );

        return new self(
            pilotSchool: PilotSchool::from($choice('pilot_school')),
            pilotThreshold: $length('pilot_threshold_mm'),
            webRatio: $number('web_ratio'),
            maxStepRatio: $number('max_step_ratio'),
            startSchool: StartSchool::from($choice('start_school')),
            clearanceRule: ClearanceRule::from($choice('clearance_rule')),
            clearanceFit: $fields->choice('clearance_fit', ['close', 'normal', 'loose'], 'normal'),
            clearancePlus: $length('clearance_plus_mm'),
            breakthrough: $length('breakthrough_mm'),
            thinSheet: $length('thin_sheet_mm'),
            blindFloorRatio: $number('blind_floor_ratio'),
            blindFloor: $length('blind_floor_mm'),
            speedSchool: SpeedSchool::from($choice('speed_school')),
            shopSpeedRpm: $number('shop_speed_rpm'),
            learnerCapRpm: $fields->has('learner_cap_rpm') ? $number('learner_cap_rpm') : null,
            chipSchool: ChipSchool::from($choice('chip_school')),
            reamSchool: ReamSchool::from($choice('ream_school')),
            reamStep: $length('ream_step_mm'),
            reversingSchool: ReversingSchool::from($choice('reversing_school')),
            markingSchool: MarkingSchool::from($choice('marking_school')),
            punchingSchool: PunchingSchool::from($choice('punching_school')),
            locatingSchool: LocatingSchool::from($choice('locating_school')),
            edgeRatio: $number('edge_ratio'),
            grabFactor: $number('grab_factor'),
            grabFactorLathe: $number('grab_factor_lathe'),
            looseViceLimit: $length('loose_vice_limit_mm'),
            overhangRatio: $number('overhang_ratio'),
            bladeReachRatio: $number('blade_reach_ratio'),
            tailstockLeastOut: $length('tailstock_least_out_mm'),
            supervisedFromStage: $count('supervised_from_stage'),
            companionRequired: $flag('companion_required'),
            companionSchool: CompanionSchool::from($choice('companion_school')),
            supervisedAtOnce: $count('supervised_at_once'),
            guardianRequired: $flag('guardian_required'),
            machinesAtOnce: $count('machines_at_once'),
            turnIdleMinutes: $count('turn_idle_minutes'),
            deviceDays: $count('device_days'),
            presenceMinutes: $count('presence_minutes'),
            hours: Hours::fromFields($fields),
            familiarGraceDays: $count('familiar_grace_days'),
            secondFactorRequired: $flag('second_factor_required'),
            sharedIdleMinutes: $count('shared_idle_minutes'),
            anchorLetters: $flag('anchor_letters'),
            checkWaitMinutes: $count('check_wait_minutes'),
            checkTriesADay: $count('check_tries_a_day'),
            recallQuestionsADay: $count('recall_questions_a_day'),
            sheetWaitHours: $count('sheet_wait_hours'),
            sheetExercises: $count('sheet_exercises'),
            observedPassPercent: $count('observed_pass_percent'),
            promptLimit: $count('prompt_limit'),
            whyLimit: $count('why_limit'),
            secondViewEvery: $count('second_view_every'),
            gaugesInDate: $flag('gauges_in_date'),
            dayCheckRequired: $flag('day_check_required'),
            partPhotoRequired: $flag('part_photo_required'),
            promptedCredit: $number('prompted_credit'),
            caliperUncertainty: $length('caliper_uncertainty_mm'),
            processes: array_map(
                static fn (Process $process): Process => isset($settings[$process->setting()])
                    ? $process->keeping($length($process->setting())) : $process,
                Process::all(),
            ),
        );
    }

    /**
     * A way of placing or making, with what it keeps in this shop.
     *
     * @throws \OutOfBoundsException for one that there is not
     */
    /**
     * What a sheet asks for beside its pass mark where its file says nothing. As many prompts as it has lines of safety are too many.
     *
     * @return array{observed_pass_percent: int, prompt_limit: int, why_limit: int}
     */
    public function gates(int $safetyLines): array
    {
        return [
            'observed_pass_percent' => $this->observedPassPercent,
            'prompt_limit' => max(1, min($this->promptLimit, $safetyLines)),
            'why_limit' => $this->whyLimit,
        ];
    }

    public function process(string $name): Process
    {
        return $this->processes[$name] ?? throw new \OutOfBoundsException("No operation is called $name.");
    }

    /**
     * What keeps a tolerance in this shop, the coarsest first: it costs the least.
     *
     * @param  'position'|'size'  $kind
     * @return list<Process>
     */
    public function processesThat(string $kind, Length $within): array
    {
        $keep = array_filter(
            $this->processes,
            static fn (Process $process): bool => $process->kind === $kind && $process->keeps->isAtMost($within),
        );
        usort($keep, static fn (Process $a, Process $b): int => $b->keeps->compareExactly($a->keeps));

        return $keep;
    }

    /** How hard a drill may twist when it grabs, against plain cutting: a tailstock's screw keeps it from running in. */
    public function grab(bool $onLathe): float
    {
        return $onLathe ? $this->grabFactorLathe : $this->grabFactor;
    }

    /** The least that is left under a blind hole of this diameter. */
    public function floorUnder(Length $diameter): Length
    {
        $share = $diameter->times($this->blindFloorRatio);

        return $share->isGreaterThan($this->blindFloor) ? $share : $this->blindFloor;
    }

    /**
     * Everything that is wrong with settings, by key.
     *
     * @return array<string, Message>
     */
    public static function faults(Fields $fields): array
    {
        $faults = [];
        $known = PolicySettings::all();
        foreach ($fields->toArray() as $key => $value) {
            if (! isset($known[$key])) {
                $faults[(string) $key] = Message::of('policy.unknown', ['key' => Message::quote((string) $key)]);

                continue;
            }
            try {
                self::fromFields(Fields::of([$key => $value]));
            } catch (InvalidInput $fault) {
                $faults[(string) $key] = $fault->says;
            }
        }

        return $faults;
    }
}
