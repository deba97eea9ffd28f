<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Result;

final readonly class Access extends Result
{
    /** @param  list<string>  $reasons all of them, the first decisive; empty when alone */
    public function __construct(public Decision $decision, public array $reasons)
    {
    }
}
