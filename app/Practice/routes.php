<?php

declare(strict_types=1);

use App\Practice\Http\EntryController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('learners/{learner}/entries', [EntryController::class, 'index'])->can('view-record', 'learner');
    Route::post('entries', [EntryController::class, 'store']);
    Route::put('entries/{entry}', [EntryController::class, 'update']);
    Route::delete('entries/{entry}', [EntryController::class, 'destroy']);
    Route::post('entries/{entry}/decision', [EntryController::class, 'decide'])->can('teach');
});
