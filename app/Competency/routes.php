<?php

declare(strict_types=1);

use App\Competency\Http\AcknowledgementController;
use App\Competency\Http\CorrectionController;
use App\Competency\Http\HoldController;
use App\Competency\Http\KnownMachineController;
use App\Competency\Http\PermitController;
use App\Competency\Http\SignOffController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('permits', [PermitController::class, 'index'])->can('teach');
    Route::get('permits-choices', [PermitController::class, 'choices'])->can('teach');
    Route::get('permits/{permit}', [PermitController::class, 'show'])->can('teach');
    Route::put('permits/{code}', [PermitController::class, 'store'])->can('lead');
    Route::prefix('learners/{learner}')->group(function (): void {
        Route::get('permits/{permit}/sign-off', [SignOffController::class, 'show'])->can('view-record', 'learner');
        Route::post('permits/{permit}/acknowledgement', [AcknowledgementController::class, 'store'])->can('view-record', 'learner');
        Route::post('permits/{permit}/sign-off', [SignOffController::class, 'store'])->can('teach-learner', 'learner');
        Route::get('machines', [KnownMachineController::class, 'index'])->can('view-record', 'learner');
        Route::post('machines/{machine}', [KnownMachineController::class, 'store'])->can('teach-learner', 'learner');
        Route::post('permits/{permit}/holds', [HoldController::class, 'store'])->can('teach');
        Route::post('ledger/{entry}/correction', [CorrectionController::class, 'store'])->can('teach-learner', 'learner');
    });
});
