<?php

declare(strict_types=1);

use App\People\Http\MailboxController;
use App\People\Http\MeController;
use App\People\Http\PasswordResetController;
use App\People\Http\SessionController;
use Illuminate\Support\Facades\Route;

Route::post('session', [SessionController::class, 'store']);
Route::middleware('throttle:reset')->group(function (): void {
    Route::post('password-reset', [PasswordResetController::class, 'store']);
    Route::put('password-reset', [PasswordResetController::class, 'update']);
});
Route::get('mailbox', [MailboxController::class, 'index']);
Route::get('me', [MeController::class, 'show']);

Route::middleware('auth')->group(function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::patch('me', [MeController::class, 'update']);
});
