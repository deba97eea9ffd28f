<?php

declare(strict_types=1);

namespace App\Records\Listeners;

use App\Records\RaiseAlert;
use App\Support\RaisesAlert;

final class AlertLead
{
    public function __construct(private readonly RaiseAlert $raise)
    {
    }

    public function handle(RaisesAlert $event): void
    {
        ($this->raise)($event->kind(), $event->facts());
    }
}
