<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

use MillStep\Core\Reference\Process;

/**
 * The list of what a shop may decide: of which kind each setting is, within which limits, the careful value where
 * the shop has set none, and which figure of a plan it changes. ShopPolicy reads by it, screens and files are
 * made from it.
 *
 * @phpstan-type Setting array{group: string, kind: 'choice'|'length'|'rpm'|'ratio'|'count'|'minutes'|'flag'|'hours'|'zone',
 *     default: string|float|int|bool|list<never>|null, choices?: list<string>, least?: float, most?: float, optional?: bool,
 *     changes: string}
 */
final class PolicySettings
{
    /** @var array<string, Setting>|null made once: every plan asks for each of them several times */
    private static ?array $all = null;

    /** The careful value of a setting that is a number; infinity for one that has none. */
    public static function careful(string $key): float
    {
        $default = self::all()[$key]['default'] ?? null;

        return is_numeric($default) ? (float) $default : INF;
    }

    /** The careful value of a setting that is a choice or a name. */
    public static function carefulChoice(string $key): string
    {
        $default = self::all()[$key]['default'] ?? null;

        return is_string($default) ? $default : '';
    }

    /** @return array<string, Setting> by key, in the order in which they are shown */
    public static function all(): array
    {
        return self::$all ??= self::list();
    }

    /** @return array<string, Setting> */
    private static function list(): array
    {
        return [
            'pilot_school' => self::school('drilling', PilotSchool::class, 'web', 'pilot'),
            'pilot_threshold_mm' => self::number('drilling', 'length', 6, 0, 50, 'pilot'),
            'web_ratio' => self::number('drilling', 'ratio', 0.2, 0.05, 0.6, 'pilot'),
            'max_step_ratio' => self::number('drilling', 'ratio', 2.5, 1.1, 10, 'pilot'),
            'start_school' => self::school('drilling', StartSchool::class, 'punch', 'centre'),
            'clearance_rule' => self::school('drilling', ClearanceRule::class, 'table', 'drill'),
            'clearance_fit' => [
                'group' => 'drilling',
                'kind' => 'choice',
                'choices' => ['close', 'normal', 'loose'],
                'default' => 'normal',
                'changes' => 'drill',
            ],
            'clearance_plus_mm' => self::number('drilling', 'length', 0.5, 0.05, 5, 'drill'),
            'breakthrough_mm' => self::number('drilling', 'length', 1, 0, 10, 'depth'),
            'thin_sheet_mm' => self::number('drilling', 'length', 2, 0, 10, 'hold'),
            'blind_floor_ratio' => self::number('drilling', 'ratio', 0.2, 0, 2, 'depth'),
            'blind_floor_mm' => self::number('drilling', 'length', 1, 0, 20, 'depth'),
            'speed_school' => self::school('speed', SpeedSchool::class, 'surface', 'rpm'),
            'shop_speed_rpm' => self::number('speed', 'rpm', 500, 20, 5000, 'rpm'),
            'learner_cap_rpm' => [...self::number('speed', 'rpm', null, 20, 10_000, 'rpm'), 'optional' => true],
            'chip_school' => self::school('speed', ChipSchool::class, 'ease_off', 'words'),
            'ream_school' => self::school('reaming', ReamSchool::class, 'table', 'drill'),
            'ream_step_mm' => self::number('reaming', 'length', 0.2, 0.02, 1, 'drill'),
            'reversing_school' => self::school('tapping', ReversingSchool::class, 'when_it_stiffens', 'words'),
            'marking_school' => self::school('marking', MarkingSchool::class, 'dye', 'words'),
            'punching_school' => self::school('marking', PunchingSchool::class, 'one_blow', 'words'),
            'locating_school' => self::school('marking', LocatingSchool::class, 'eye', 'words'),
            'edge_ratio' => self::number('marking', 'ratio', 1.5, 0.5, 5, 'layout'),
            'grab_factor' => self::number('holding', 'ratio', 3, 1, 10, 'hold'),
            'grab_factor_lathe' => self::number('holding', 'ratio', 2, 1, 10, 'hold'),
            'loose_vice_limit_mm' => self::number('holding', 'length', 4, 0, 10, 'hold'),
            'overhang_ratio' => self::number('holding', 'ratio', 3, 0.5, 10, 'hold'),
            'blade_reach_ratio' => self::number('holding', 'ratio', 8, 1, 30, 'hold'),
            'tailstock_least_out_mm' => self::number('holding', 'length', 20, 0, 200, 'hold'),
            'supervised_from_stage' => self::number('access', 'count', 2, 1, 5, 'gate'),
            'machines_at_once' => self::number('access', 'count', 1, 1, 10, 'gate'),
            'turn_idle_minutes' => self::number('access', 'minutes', 120, 5, 1440, 'gate'),
            'device_days' => self::number('access', 'count', 90, 1, 3650, 'gate'),
            'companion_required' => self::flag('access', false),
            'companion_school' => self::school('access', CompanionSchool::class, 'checked', 'gate'),
            'supervised_at_once' => self::number('access', 'count', 4, 1, 30, 'gate'),
            'guardian_required' => self::flag('access', true),
            'presence_minutes' => self::number('access', 'minutes', 240, 1, 1440, 'gate'),
            'hours' => ['group' => 'access', 'kind' => 'hours', 'default' => [], 'changes' => 'gate'],
            'time_zone' => ['group' => 'access', 'kind' => 'zone', 'default' => 'UTC', 'changes' => 'gate'],
            'familiar_grace_days' => self::number('access', 'count', 14, 0, 365, 'gate'),
            'second_factor_required' => [...self::flag('access', false), 'changes' => 'sign_in'],
            'shared_idle_minutes' => self::number('access', 'minutes', 10, 1, 240, 'sign_in'),
            'anchor_letters' => [...self::flag('access', false), 'changes' => 'proof'],
            'check_wait_minutes' => self::number('assessing', 'minutes', 10, 0, 10_080, 'retake'),
            'check_tries_a_day' => self::number('assessing', 'count', 3, 1, 50, 'retake'),
            'recall_questions_a_day' => self::number('assessing', 'count', 5, 0, 30, 'retake'),
            'sheet_wait_hours' => self::number('assessing', 'count', 12, 0, 720, 'retake'),
            'sheet_exercises' => self::number('assessing', 'count', 1, 0, 20, 'retake'),
            'observed_pass_percent' => self::number('assessing', 'count', 80, 80, 100, 'gates'),
            'prompt_limit' => self::number('assessing', 'count', 3, 1, 20, 'gates'),
            'why_limit' => self::number('assessing', 'count', 2, 1, 10, 'gates'),
            'second_view_every' => self::number('assessing', 'count', 10, 0, 100, 'second_view'),
            'gauges_in_date' => [...self::flag('assessing', false), 'changes' => 'score'],
            'day_check_required' => [...self::flag('assessing', false), 'changes' => 'opening'],
            'part_photo_required' => [...self::flag('assessing', false), 'changes' => 'opening'],
            'prompted_credit' => self::number('assessing', 'ratio', 0.5, 0, 1, 'score'),
            'caliper_uncertainty_mm' => self::number('assessing', 'length', 0.02, 0, 1, 'score'),
            ...self::processes(),
        ];
    }

    /**
     * What each way of placing and making keeps in this shop, by the shipped table where it has not said.
     *
     * @return array<string, Setting>
     */
    private static function processes(): array
    {
        $settings = [];
        foreach (Process::all() as $process) {
            if ($process->kind !== 'gauge') {
                $settings[$process->setting()] = self::number('keeps', 'length', $process->keeps->inMm(), 0.002, 5, 'promise');
            }
        }

        return $settings;
    }

    /**
     * @param  class-string<\BackedEnum>  $school
     * @return Setting
     */
    private static function school(string $group, string $school, string $careful, string $changes): array
    {
        return [
            'group' => $group,
            'kind' => 'choice',
            'choices' => array_map(static fn (\BackedEnum $case): string => (string) $case->value, $school::cases()),
            'default' => $careful,
            'changes' => $changes,
        ];
    }

    /**
     * @param  'length'|'rpm'|'ratio'|'count'|'minutes'  $kind
     * @return Setting
     */
    private static function number(string $group, string $kind, ?float $careful, float $least, float $most, string $changes): array
    {
        return ['group' => $group, 'kind' => $kind, 'default' => $careful, 'least' => $least, 'most' => $most, 'changes' => $changes];
    }

    /** @return Setting */
    private static function flag(string $group, bool $careful): array
    {
        return ['group' => $group, 'kind' => 'flag', 'default' => $careful, 'changes' => 'gate'];
    }
}
