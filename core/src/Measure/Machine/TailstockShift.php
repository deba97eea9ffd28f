<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Machine;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class TailstockShift extends Result
{
    /**
     * @param  Length  $differ  the diameter at the centre less the one at the chuck
     * @param  float  $taper  of diameter, for each millimetre of length
     * @param  Length  $shift  how far the tailstock is to be moved across the bed
     * @param  'in_line'|'towards_tool'|'away_from_tool'  $verdict
     */
    public function __construct(public Length $differ, public float $taper, public Length $shift, public string $verdict)
    {
    }

    public function toArray(): array
    {
        return [
            'differ_mm' => $this->differ->inMm(), 'taper_ratio' => $this->taper, 'over_100_mm' => 100 * $this->taper,
            'shift_mm' => $this->shift->inMm(), 'verdict' => $this->verdict,
        ];
    }
}
