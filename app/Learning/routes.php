<?php

declare(strict_types=1);

use App\Learning\Http\CheckController;
use App\Learning\Http\LessonController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('lessons/{code}', [LessonController::class, 'show']);
    Route::put('progress/{progress}/steps/{step}', [LessonController::class, 'answer']);
    Route::post('holds/{hold}/return', [LessonController::class, 'sendBack'])->can('teach');
    Route::post('holds/{hold}/open', [LessonController::class, 'open'])->can('teach');
    Route::post('checks/{code}/attempts', [CheckController::class, 'start']);
    Route::get('attempts/{attempt}', [CheckController::class, 'show']);
    Route::post('attempts/{attempt}/answers', [CheckController::class, 'handIn']);
});
