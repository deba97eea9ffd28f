<?php

declare(strict_types=1);

use App\Workshop\Http\MachineController;
use App\Workshop\Http\MaterialController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('machines', [MachineController::class, 'index']);
    Route::get('materials', MaterialController::class);
});
