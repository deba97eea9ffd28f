<?php

declare(strict_types=1);

use App\Records\Http\AssessingController;
use App\Records\Http\LearnerController;
use App\Records\Http\RecordsController;
use App\Records\Http\TodayController;
use App\Records\Http\WaitingController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('today', TodayController::class)->can('teach');
    Route::get('ready', [AssessingController::class, 'ready'])->can('teach');
    Route::get('assessors', [AssessingController::class, 'assessors'])->can('teach');
    Route::get('waiting', WaitingController::class)->can('teach');
    Route::get('learners/{learner}', LearnerController::class)->can('view-record', 'learner');
});

Route::middleware(['auth', 'can:audit'])->group(function (): void {
    Route::get('changes', [RecordsController::class, 'changes']);
    Route::get('alerts', [RecordsController::class, 'alerts']);
    Route::post('alerts/{alert}/seen', [RecordsController::class, 'seen']);
});
