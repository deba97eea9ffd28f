<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Analysis;

/** One answer on one paper. */
final readonly class ItemAnswer
{
    /** @param  list<string>  $chosen  ids, or a figure as typed */
    public function __construct(public bool $right, public array $chosen)
    {
    }
}
