<?php

declare(strict_types=1);

use App\People\Http\ClassListController;
use App\People\Http\CohortController;
use App\People\Http\FirstLeadController;
use App\People\Http\MailboxController;
use App\People\Http\MeController;
use App\People\Http\PasswordController;
use App\People\Http\PasswordResetController;
use App\People\Http\PinController;
use App\People\Http\SecondFactorController;
use App\People\Http\SessionController;
use App\People\Http\StaffController;
use Illuminate\Support\Facades\Route;

Route::post('session', [SessionController::class, 'store']);
Route::post('session/second-factor', [SessionController::class, 'secondFactor']);
Route::middleware('throttle:reset')->group(function (): void {
    Route::post('password-reset', [PasswordResetController::class, 'store']);
    Route::put('password-reset', [PasswordResetController::class, 'update']);
});
Route::post('first-lead', FirstLeadController::class)->middleware('throttle:reset');
Route::get('mailbox', [MailboxController::class, 'index']);
Route::get('me', [MeController::class, 'show']);

Route::middleware('auth')->group(function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::patch('me', [MeController::class, 'update']);
    Route::put('me/password', [PasswordController::class, 'update']);
    Route::put('me/pin', [PinController::class, 'update'])->can('teach');
    Route::get('me/sessions', [SessionController::class, 'index']);
    Route::delete('me/sessions/{name}', [SessionController::class, 'end']);
    Route::post('me/second-factor', [SecondFactorController::class, 'prepare']);
    Route::put('me/second-factor', [SecondFactorController::class, 'confirm']);
    Route::delete('me/second-factor', [SecondFactorController::class, 'destroy']);
    Route::middleware('can:lead')->group(function (): void {
        Route::get('everybody', [StaffController::class, 'index']);
        Route::post('everybody', [StaffController::class, 'store']);
        Route::put('everybody/{person}', [StaffController::class, 'replace']);
        Route::patch('everybody/{person}', [StaffController::class, 'update']);
        Route::post('everybody/{person}/invitation', [StaffController::class, 'invite']);
        Route::put('everybody/{person}/badge', [StaffController::class, 'badge']);
        Route::delete('everybody/{person}/badge', [StaffController::class, 'endBadge']);
        Route::post('everybody/{person}/forgetting', [StaffController::class, 'forget']);
        Route::get('cohorts', [CohortController::class, 'index']);
        Route::post('cohorts', [CohortController::class, 'store']);
        Route::put('cohorts/{cohort}', [CohortController::class, 'update']);
        Route::get('class-list', [ClassListController::class, 'show']);
        Route::post('class-list', [ClassListController::class, 'store']);
        Route::delete('everybody/{person}/pin', [StaffController::class, 'resetPin']);
        Route::delete('everybody/{person}/second-factor', [StaffController::class, 'takeSecondFactorAway']);
    });
});
