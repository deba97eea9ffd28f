<?php

declare(strict_types=1);

use App\Records\Http\RecordsController;
use Illuminate\Support\Facades\Route;

Route::middleware(['auth', 'can:audit'])->group(function (): void {
    Route::get('changes', [RecordsController::class, 'changes']);
    Route::get('alerts', [RecordsController::class, 'alerts']);
    Route::post('alerts/{alert}/seen', [RecordsController::class, 'seen']);
});
