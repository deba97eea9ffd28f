<?php

declare(strict_types=1);

namespace App\People\Events;

use App\Support\EndsRights;
use Illuminate\Foundation\Events\Dispatchable;

/** Somebody signed out on a device: what is open on it hears nothing more. */
final readonly class SignedOut implements EndsRights
{
    use Dispatchable;

    public function __construct(public int $userId, public bool $heardTheShop)
    {
    }

    public function channels(): array
    {
        return [...($this->heardTheShop ? ['shop'] : []), "person-{$this->userId}"];
    }
}
