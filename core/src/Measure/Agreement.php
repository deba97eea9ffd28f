<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;

final readonly class Agreement extends Result
{
    public function __construct(
        public int $count,
        public Length $bias,
        public Length $spread,
        public Length $within,
    ) {
    }

    /** Where 95 of 100 differences lie, if they scatter as most do: bias ± 1.96 spreads. Nothing under three pairs. */
    public function limits(): ?Limits
    {
        $reach = $this->spread->times(1.959963984540054);

        return $this->count < 3 ? null : new Limits($this->bias->minus($reach), $this->bias->plus($reach));
    }
}
