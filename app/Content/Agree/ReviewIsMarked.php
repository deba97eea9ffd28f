<?php

declare(strict_types=1);

namespace App\Content\Agree;

use App\Support\Given;
use MillStep\Core\Setup\Severity;
use MillStep\Core\Setup\Watched;

/**
 * C6: whatever the set-up review can find against what is done on a sheet is watched for by one of its lines; what the review stops is
 * a critical line, and what is to be put right first is a line without which it is not yet.
 */
final class ReviewIsMarked implements Rule
{
    private const SCENES = ['bench_drill_press' => 'press', 'floor_drill_press' => 'press', 'lathe' => 'lathe'];

    public function violations(Shelf $shelf): array
    {
        $found = [];
        foreach ($shelf->sheets as $code => $sheet) {
            $scene = self::SCENES[Given::text($sheet['machine'] ?? null)] ?? null;
            $lines = Given::rows($sheet['criteria'] ?? null);
            $wanted = $scene === null ? [] : Watched::at($scene, self::operations($lines), self::grabs($sheet));
            foreach ($wanted as $finding => $severity) {
                $watching = array_filter(
                    $lines, static fn (array $line): bool => in_array($finding, Given::texts($line['review'] ?? null), true),
                );
                $ends = array_filter($watching, static fn (array $line): bool => ($line['critical'] ?? false) === true
                    || ($severity === Severity::Fix && ($line['must'] ?? false) === true));
                if ($severity !== Severity::Note && $ends === []) {
                    $found[] = new Violation(
                        'C6', Given::text($sheet['file']), "$code $finding",
                        $watching === [] ? 'no line watches for it' : 'its line lets it pass', "the review says {$severity->value}",
                    );
                }
            }
        }

        return $found;
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @return list<string>
     */
    private static function operations(array $lines): array
    {
        return array_values(array_unique(array_map(
            static fn (array $line): string => Given::text(Given::fields($line['shows'] ?? null)['operation'] ?? null),
            $lines,
        )));
    }

    /** @param  array<string, mixed>  $sheet */
    private static function grabs(array $sheet): bool
    {
        // A permit of its own is asked for what grabs: the sheet of another is not done in it but with the hole there already.
        return array_filter(
            Given::rows($sheet['criteria'] ?? null),
            static fn (array $line): bool => Given::text($line['lesson'] ?? null) === 'C10',
        ) !== [];
    }
}
