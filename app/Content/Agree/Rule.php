<?php

declare(strict_types=1);

namespace App\Content\Agree;

/** One thing in which the files of a shop have to agree. */
interface Rule
{
    /** @return list<Violation> */
    public function violations(Shelf $shelf): array;
}
