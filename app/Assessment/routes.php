<?php

declare(strict_types=1);

use App\Assessment\Http\AttemptController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::post('attempts', [AttemptController::class, 'open'])->can('teach');
    Route::get('attempts/{attempt}', [AttemptController::class, 'show']);
    Route::put('attempts/{attempt}/marks/{criterion}', [AttemptController::class, 'mark'])->can('teach');
    Route::post('attempts/{attempt}/conclusion', [AttemptController::class, 'conclude'])->can('teach');
    Route::post('attempts/{attempt}/cancellation', [AttemptController::class, 'cancel'])->can('teach');
});
