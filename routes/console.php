<?php

declare(strict_types=1);

use App\Competency\Anchors;
use App\Records\Doctor;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Schedule;

// The ledger is checked every night; its head is signed and written out of the database's reach every hour, whatever was found.
Schedule::command('competency:verify')->dailyAt('02:30');
Schedule::command('competency:anchor')->hourly();
Schedule::call(Anchors::noteDay(...))->everyMinute();
Schedule::command('gate:review')->everyMinute();
// That the scheduler runs is known by this (bin/doctor).
Schedule::call(static fn () => Cache::put(Doctor::BEAT, now()->getTimestamp(), 86_400))->everyMinute();
Schedule::command('assessment:conclude-stopped')->everyMinute();
Schedule::command('records:prune')->hourly();
Schedule::command('auth:clear-resets')->everyFifteenMinutes();
