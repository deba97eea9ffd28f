<?php

declare(strict_types=1);

use App\Assessment\Http\SheetController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::post('attempts', [SheetController::class, 'open'])->can('teach');
    Route::get('attempts/{attempt}', [SheetController::class, 'show']);
    Route::put('attempts/{attempt}/marks/{criterion}', [SheetController::class, 'mark'])->can('teach');
    Route::post('attempts/{attempt}/conclusion', [SheetController::class, 'conclude'])->can('teach');
    Route::post('attempts/{attempt}/cancellation', [SheetController::class, 'cancel'])->can('teach');
});
