<?php

declare(strict_types=1);

namespace App\Competency\Events;

use App\Support\RaisesAlert;
use Illuminate\Foundation\Events\Dispatchable;
use MillStep\Core\Border\Message;

/** The ledger holds by itself, and nothing outside the database says so of late. The next anchor ends it. */
final readonly class LedgerDoubtful implements RaisesAlert
{
    use Dispatchable;

    public function __construct(public Message $what)
    {
    }

    public function kind(): string
    {
        return 'ledger_doubtful';
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
