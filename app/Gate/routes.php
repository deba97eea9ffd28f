<?php

declare(strict_types=1);

use App\Gate\Http\DeviceController;
use App\Gate\Http\PresenceController;
use App\Gate\Http\ReadController;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::post('machines/{machine}/devices', [DeviceController::class, 'store'])->can('teach');
    Route::put('presence', [PresenceController::class, 'update'])->can('teach');
});

// Devices carry a token and no cookie, so there is no cookie to forge a request with.
Route::middleware(['auth:device', 'throttle:gate'])->withoutMiddleware(ValidateCsrfToken::class)->group(function (): void {
    Route::get('screen', [DeviceController::class, 'screen']);
    Route::post('reads', [ReadController::class, 'store']);
    Route::get('demo-badges', [DeviceController::class, 'demoBadges']);
});
