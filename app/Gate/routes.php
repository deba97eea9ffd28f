<?php

declare(strict_types=1);

use App\Gate\Http\ClockController;
use App\Gate\Http\DeviceController;
use App\Gate\Http\OwnTurnsController;
use App\Gate\Http\PresenceController;
use App\Gate\Http\TurnController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('devices', [DeviceController::class, 'index'])->can('teach');
    Route::post('machines/{machine}/devices', [DeviceController::class, 'store'])->can('teach');
    Route::delete('devices/{device}', [DeviceController::class, 'revoke'])->can('teach');
    Route::post('turns/{session}/end', [TurnController::class, 'end'])->can('teach');
    Route::get('turns', OwnTurnsController::class);
    Route::get('clock', [ClockController::class, 'show'])->can('teach');
    Route::post('clock/confirmation', [ClockController::class, 'confirm'])->can('teach');
    Route::put('presence', [PresenceController::class, 'update'])->can('teach');
});
