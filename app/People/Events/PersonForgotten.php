<?php

declare(strict_types=1);

namespace App\People\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;

/** What was known of somebody is gone; what they did stays, without a name. */
final readonly class PersonForgotten implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public int $userId)
    {
    }

    public function channels(): array
    {
        return ['shop', "person-{$this->userId}"];
    }
}
