<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

// Old sessions and read letters go; the ledger is checked every night.
Schedule::command('competency:verify')->dailyAt('02:30');
Schedule::command('auth:clear-resets')->everyFifteenMinutes();
