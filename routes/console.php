<?php

declare(strict_types=1);

use App\Competency\Anchors;
use App\Records\Doctor;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Schedule;

// Each line runs once, on whichever of several servers comes first.

// The ledger is checked every night; its head is signed and written out of the database's reach every hour, whatever was found.
Schedule::command('competency:verify')->dailyAt('02:30')->onOneServer();
Schedule::command('competency:anchor')->hourly()->onOneServer();
// A forgetting that was cut off after it was noted is finished.
Schedule::command('people:forget-again')->hourly()->onOneServer();
Schedule::call(Anchors::noteDay(...))->everyMinute()->name('note-day')->onOneServer();
Schedule::command('gate:review')->everyMinute()->onOneServer();
// That the scheduler runs is known by this (bin/doctor).
Schedule::call(static fn () => Cache::put(Doctor::BEAT, now()->getTimestamp(), 86_400))->everyMinute()->name('beat')->onOneServer();
Schedule::command('assessment:conclude-stopped')->everyMinute()->onOneServer();
Schedule::command('records:prune')->hourly()->onOneServer();
Schedule::command('auth:clear-resets')->everyFifteenMinutes()->onOneServer();
