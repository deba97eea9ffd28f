<?php

declare(strict_types=1);

namespace App\Records\Listeners;

use App\Competency\Events\LedgerBroken;
use App\Gate\Events\BadgesGuessed;
use App\Records\RaiseAlert;

final class AlertLead
{
    public function __construct(private readonly RaiseAlert $raise)
    {
    }

    public function handle(LedgerBroken|BadgesGuessed $event): void
    {
        $event instanceof LedgerBroken
            ? ($this->raise)('ledger_broken', ['what' => $event->what->toArray()])
            : ($this->raise)('badges_guessed', ['device' => $event->device, 'machine' => $event->machine, 'unknown' => $event->unknown]);
    }
}
