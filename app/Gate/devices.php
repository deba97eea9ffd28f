<?php

declare(strict_types=1);

use App\Gate\Http\AsOftenAs;
use App\Gate\Http\DeviceController;
use App\Gate\Http\ReadController;
use Illuminate\Support\Facades\Route;

// Devices carry a token and no cookie: no session is kept for them, and there is no cookie to forge a request with.
// Guessed badges slow the reads of a device (see ReadBadge), never its screen.
Route::middleware('auth:device')->group(function (): void {
    Route::middleware(AsOftenAs::class.':screen,600')->group(function (): void {
        Route::get('screen', [DeviceController::class, 'screen']);
        Route::get('demo-badges', [DeviceController::class, 'demoBadges']);
        Route::post('renewal', [DeviceController::class, 'renew']);
    });
    Route::post('reads', [ReadController::class, 'store'])->middleware(AsOftenAs::class.':reads,120');
});
