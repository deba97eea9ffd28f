<?php

declare(strict_types=1);

namespace App\Live;

use App\Gate\Device;
use App\People\User;

/** Who may listen where: whoever teaches to the shop, everybody to themselves, a machine's device to its machine. */
final class Channels
{
    public function open(User|Device|null $listener, string $channel): bool
    {
        return match (true) {
            $listener instanceof Device => $channel === 'machine-'.$listener->machine->slug,
            $listener instanceof User => $channel === "person-{$listener->id}"
                || ($channel === 'shop' && ($listener->teaches() || $listener->audits())),
            default => false,
        };
    }
}
