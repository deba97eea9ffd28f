<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Setup\Scene\SceneKinds;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What an assessor has to watch for at a machine: each finding of the set-up review that what is done there can meet, and how hard it
 * weighs. What can be put wrong in a drawn set-up is found by putting it wrong; what hangs on an operation stands below.
 */
final class Watched
{
    private const SIZES_LOOKED_AT = 12;

    /** Of the drawn scenes, but about the drill that is chosen: watched where choosing it is taught, not on every sheet. */
    private const WHERE_CHOSEN = ['wood_bit_in_metal'];

    /** Met by whoever sets a press's speed; a lathe's lever is in its own lesson. */
    private const AT_THE_PRESS = ['speed_change_wrong_state' => Severity::Stop];

    /** By operation. Severities are those of the rules, at their hardest where a person can bring that about by the plan's tools. */
    private const BY_OPERATION = [
        'centre' => ['no_start_mark' => Severity::Fix],
        'drill_cross' => ['no_start_mark' => Severity::Fix],
        'drill_blind' => ['floor_too_thin' => Severity::Stop],
        'drill_taper' => ['drift_left' => Severity::Stop, 'taper_dirty_or_burred' => Severity::Fix],
        'ream' => ['reamer_reversed' => Severity::Fix],
        'tap' => ['power_on_hand_tool' => Severity::Stop],
        'part_off' => ['parting_too_deep' => Severity::Stop, 'parting_supported_end' => Severity::Stop],
    ];

    /**
     * @param  'press'|'lathe'  $scene
     * @param  list<string>  $operations
     * @param  bool  $grabs  in a material that asks for lips without rake
     * @return array<string, Severity> by code
     */
    public static function at(string $scene, array $operations, bool $grabs): array
    {
        $codes = [
            ...self::drawn($scene),
            ...$scene === 'press' ? self::AT_THE_PRESS : [],
            ...$grabs ? ['sharp_lips_in_grabbing_material' => Severity::Stop] : [],
        ];
        foreach ($operations as $operation) {
            $codes = [...$codes, ...self::BY_OPERATION[$operation] ?? []];
        }

        return $codes;
    }

    /** @return array<string, Severity> by code, at their hardest over sizes and ways of putting it wrong */
    private static function drawn(string $scene): array
    {
        $kind = SceneKinds::get($scene);
        $hardest = [];
        for ($seed = 1; $seed <= self::SIZES_LOOKED_AT; $seed++) {
            $sound = $kind::sound(new Randomizer(new Mt19937($seed)));
            foreach ($kind::places() as $place) {
                foreach ($place::faults($sound) as $fault) {
                    foreach ($fault->putInto($sound)->review()->findings as $finding) {
                        $stops = ($hardest[$finding->code] ?? null) === Severity::Stop;
                        $hardest[$finding->code] = $stops ? Severity::Stop : $finding->severity;
                    }
                }
            }
        }

        return array_diff_key($hardest, array_flip(self::WHERE_CHOSEN));
    }
}
