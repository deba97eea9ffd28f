<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Support\Facades\DB;
use MillStep\Core\Workshop\DrillSeries;

/** Puts a whole standard series into a crib. What it has already stays as it is. */
final class AddDrillSet
{
    /**
     * @param  'normal'|'zero_rake'  $edge
     * @return int how many drills came in
     */
    public function __invoke(Crib $crib, DrillSeries $series, string $edge = 'normal'): int
    {
        return DB::transaction(static fn (): int => Tool::query()->insertOrIgnore(array_map(static fn (array $drill): array => [
            'crib_id' => $crib->id, 'kind' => 'drill', 'designation' => $drill['designation'],
            'diameter_mm' => $drill['diameter_mm'], 'edge' => $edge, 'condition' => 'good', 'details' => '{}',
        ], $series->drills())));
    }
}
