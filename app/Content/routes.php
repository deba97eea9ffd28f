<?php

declare(strict_types=1);

use App\Content\Http\PackController;
use App\Content\Http\PlanChoicesController;
use App\Content\Http\SetUpController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->get('plan-choices', PlanChoicesController::class);
Route::middleware(['auth', 'can:lead'])->group(function (): void {
    Route::get('set-up', SetUpController::class);
    Route::get('packs', [PackController::class, 'index']);
    Route::post('packs/{code}', [PackController::class, 'store']);
});
