<?php

declare(strict_types=1);

namespace MillStep\Core\Gate;

/** Somebody who teaches and is on the floor, as far as one machine is concerned. */
final readonly class Supervisor
{
    /**
     * @param  bool  $may  may sign for every permit that the machine takes, or is allowed by name
     * @param  int  $watches  how many other supervised turns are theirs now
     */
    public function __construct(public int $id, public bool $may, public int $watches)
    {
    }
}
