<?php

declare(strict_types=1);

namespace App\Content\Agree;

use App\Support\Given;
use MillStep\Core\Workshop\MachineSpec;

/** C8: what is looked for where a speed is set is said for each way in which a machine's speed is set. */
final class LevelsByMachine implements Rule
{
    /** Of a level that is right at one machine and the fault at another, beside a line that is about setting a speed. */
    private const STATES = '/\b(belt|pulley|isolated|stopped|standstill|running)\b/i';

    private const SETS_SPEED = '/\bspeed (?:is |was )?(?:set|changed)\b/i';

    public function violations(Shelf $shelf): array
    {
        $found = [];
        foreach ($shelf->sheets as $code => $sheet) {
            foreach (Given::rows($sheet['criteria'] ?? null) as $line) {
                $levels = implode(' ', array_map(Given::text(...), Given::fields($line['levels'] ?? null)));
                if (preg_match(self::SETS_SPEED, Given::text($line['text'] ?? null)) !== 1 || preg_match(self::STATES, $levels) !== 1) {
                    continue;
                }
                // What `levels` says is for a machine that stands still: each other way has its own.
                foreach (array_diff(MachineSpec::SPEED_CHANGES, ['stopped_and_isolated']) as $change) {
                    Given::fields(Given::fields($line['levels_for'] ?? null)[$change] ?? null) === [] && $found[] = new Violation(
                        'C8', Given::text($sheet['file']), $code.' '.Given::text($line['id'] ?? null),
                        'levels of one way of setting a speed', "a machine may want it $change",
                    );
                }
            }
        }

        return $found;
    }
}
