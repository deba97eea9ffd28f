<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Contracts\Events\ShouldDispatchAfterCommit;

/**
 * Something that happened in a room, told once it is committed. Rooms that care listen. `channels` names the
 * screens that show it (see App\Live).
 */
interface HappensAfterCommit extends ShouldDispatchAfterCommit
{
    /** @return list<string> `shop`, `machine-{slug}` or `person-{id}` */
    public function channels(): array;
}
