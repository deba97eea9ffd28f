<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Schedule;

// The ledger is checked every night, and its head signed and written out of the database's reach.
Schedule::command('competency:verify')->dailyAt('02:30')->onSuccess(static fn () => Artisan::call('competency:anchor'));
Schedule::command('gate:review')->everyMinute();
Schedule::command('records:prune')->hourly();
Schedule::command('auth:clear-resets')->everyFifteenMinutes();
