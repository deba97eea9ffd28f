<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Machine;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class TaperFit extends Result
{
    /**
     * @param  Length  $rubbed  of the taper, both ends together
     * @param  Length  $wanted  at least
     * @param  'bears'|'large_end_only'|'small_end_only'|'hollow'|'spots'  $verdict
     */
    public function __construct(public Length $rubbed, public Length $wanted, public string $verdict)
    {
    }

    public function toArray(): array
    {
        return ['rubbed_mm' => $this->rubbed->inMm(), 'wanted_mm' => $this->wanted->inMm(), 'verdict' => $this->verdict];
    }
}
