<?php

declare(strict_types=1);

namespace App\Content\Agree;

use App\Assessment\Sheet;
use App\Support\Given;
use MillStep\Core\Assessment\CriticalLinesAlone;
use MillStep\Core\Assessment\Outcome;
use MillStep\Core\Policy\ShopPolicy;

/** C4: with every line that is not critical not met, and everything else at its best, nobody passes. */
final readonly class ZeroFails implements Rule
{
    public function __construct(private ShopPolicy $policy)
    {
    }

    public function violations(Shelf $shelf): array
    {
        $found = [];
        foreach ($shelf->sheets as $code => $sheet) {
            $lines = Given::rows($sheet['criteria'] ?? null);
            $safety = array_filter($lines, static fn (array $one): bool => ($one['group'] ?? '') === 'safety');
            $score = CriticalLinesAlone::score(Sheet::asked($lines, $sheet['pass_mark_percent'] ?? 0, [
                ...$this->policy->gates(count($safety)), ...Given::fields($sheet['gates'] ?? null),
            ]));
            if ($score->outcome === Outcome::Passed) {
                $found[] = new Violation(
                    'C4', Given::text($sheet['file']), $code, "{$score->scorePercent} % pass", 'by critical lines alone',
                );
            }
        }

        return $found;
    }
}
