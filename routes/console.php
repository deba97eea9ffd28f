<?php

declare(strict_types=1);

use App\Records\Doctor;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Schedule;

// The ledger is checked every night, and its head signed and written out of the database's reach.
Schedule::command('competency:verify')->dailyAt('02:30')->onSuccess(static fn () => Artisan::call('competency:anchor'));
Schedule::command('gate:review')->everyMinute();
// That the scheduler runs is known by this (bin/doctor).
Schedule::call(static fn () => Cache::put(Doctor::BEAT, now()->getTimestamp(), 86_400))->everyMinute();
Schedule::command('assessment:conclude-stopped')->everyMinute();
Schedule::command('records:prune')->hourly();
Schedule::command('auth:clear-resets')->everyFifteenMinutes();
