<?php

declare(strict_types=1);

namespace App\Competency\Events;

use App\Support\HappensAfterCommit;
use Illuminate\Foundation\Events\Dispatchable;
use MillStep\Core\Border\Message;

final readonly class LedgerBroken implements HappensAfterCommit
{
    use Dispatchable;

    public function __construct(public Message $what)
    {
    }

    public function channels(): array
    {
        return ['shop'];
    }
}
