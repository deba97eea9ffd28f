<?php

declare(strict_types=1);

use App\Gate\Http\DeviceController;
use App\Gate\Http\PresenceController;
use App\Gate\Http\ReadController;
use App\Gate\Http\TurnController;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('devices', [DeviceController::class, 'index'])->can('teach');
    Route::post('machines/{machine}/devices', [DeviceController::class, 'store'])->can('teach');
    Route::delete('devices/{device}', [DeviceController::class, 'revoke'])->can('teach');
    Route::post('turns/{session}/end', [TurnController::class, 'end'])->can('teach');
    Route::put('presence', [PresenceController::class, 'update'])->can('teach');
});

// Devices carry a token and no cookie, so there is no cookie to forge a request with. Guessed badges slow the reads of a
// device (see ReadBadge), never its screen.
Route::middleware('auth:device')->withoutMiddleware(ValidateCsrfToken::class)->group(function (): void {
    Route::middleware('throttle:gate-screen')->group(function (): void {
        Route::get('screen', [DeviceController::class, 'screen']);
        Route::get('demo-badges', [DeviceController::class, 'demoBadges']);
        Route::post('renewal', [DeviceController::class, 'renew']);
    });
    Route::post('reads', [ReadController::class, 'store'])->middleware('throttle:gate-reads');
});
