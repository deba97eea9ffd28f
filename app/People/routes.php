<?php

declare(strict_types=1);

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
        Route::patch('everybody/{person}', [StaffController::class, 'update']);
        Route::delete('everybody/{person}/pin', [StaffController::class, 'resetPin']);
        Route::delete('everybody/{person}/second-factor', [StaffController::class, 'takeSecondFactorAway']);
    });
});
