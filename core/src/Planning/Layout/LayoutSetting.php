<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

/** How one coordinate is set: on a rule, on a stack of parallels, or on a readout; and how far off that is. */
final readonly class LayoutSetting extends Result
{
    /** @param  list<Length>  $pieces  of the stack, largest first */
    public function __construct(public Length $value, public Length $error, public array $pieces = [])
    {
    }

    public function toArray(): array
    {
        return [
            'value_mm' => $this->value->inMm(),
            'error_mm' => $this->error->inMm(),
            'pieces_mm' => array_map(static fn (Length $piece): float => $piece->inMm(), $this->pieces),
        ];
    }
}
