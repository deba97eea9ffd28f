<?php

declare(strict_types=1);

namespace App\Competency\Events;

use App\Support\RaisesAlert;
use Illuminate\Foundation\Events\Dispatchable;
use MillStep\Core\Border\Message;

final readonly class LedgerBroken implements RaisesAlert
{
    use Dispatchable;

    public function __construct(public Message $what)
    {
    }

    public function kind(): string
    {
        return 'ledger_broken';
    }

    public function facts(): array
    {
        return ['what' => $this->what->toArray()];
    }

    public function channels(): array
    {
        return ['shop'];
    }
}
