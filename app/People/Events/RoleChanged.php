<?php

declare(strict_types=1);

namespace App\People\Events;

use App\Support\EndsRights;
use Illuminate\Foundation\Events\Dispatchable;

final readonly class RoleChanged implements EndsRights
{
    use Dispatchable;

    public function __construct(public int $userId, public int $byId)
    {
    }

    public function channels(): array
    {
        return ['shop', "person-{$this->userId}"];
    }
}
