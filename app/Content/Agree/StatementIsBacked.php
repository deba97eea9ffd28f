<?php

declare(strict_types=1);

namespace App\Content\Agree;

use App\Support\Given;
use MillStep\Core\Competency\Ledger\Entry\Shown;

/** A10, as far as places go: a statement that says that somebody was shown where help is has a line of a sheet that puts it on record. */
final class StatementIsBacked implements Rule
{
    private const SAID = ['stop' => '/emergency stop/i', 'isolator' => '/isolator/i', 'first_aid' => '/first[- ]aid/i'];

    public function violations(Shelf $shelf): array
    {
        $found = [];
        foreach ($shelf->permits as $code => $permit) {
            $said = json_encode($permit['statement'] ?? $permit, JSON_THROW_ON_ERROR);
            $shown = [];
            foreach ($shelf->sheetsOf($code) as $sheet) {
                foreach (Given::rows($shelf->sheets[$sheet]['criteria'] ?? null) as $line) {
                    array_push($shown, ...Given::texts($line['places'] ?? null));
                }
            }
            foreach (Shown::WHAT as $place) {
                if (preg_match(self::SAID[$place], $said) === 1 && ! in_array($place, $shown, true)) {
                    $found[] = new Violation(
                        'A10', Given::text($permit['file']), "$code $place", 'the statement says that it was shown', 'no line records it',
                    );
                }
            }
        }

        return $found;
    }
}
