<?php

declare(strict_types=1);

use App\Workshop\Http\BarController;
use App\Workshop\Http\CheckController;
use App\Workshop\Http\CribController;
use App\Workshop\Http\FileController;
use App\Workshop\Http\GaugeController;
use App\Workshop\Http\MachineController;
use App\Workshop\Http\MaterialController;
use App\Workshop\Http\PolicyController;
use App\Workshop\Http\ShopController;
use Illuminate\Support\Facades\Route;

// Everybody signed in reads; whoever teaches minds tools and stock; the shop lead answers for the rest.
Route::middleware('auth')->group(function (): void {
    Route::get('machines', [MachineController::class, 'index']);
    Route::get('materials', [MaterialController::class, 'index']);
    Route::get('cribs', [CribController::class, 'index']);
    Route::post('checks/{kind}', [CheckController::class, 'compute']);
    Route::get('policy', [PolicyController::class, 'show']);
    Route::get('gauges', [GaugeController::class, 'index']);

    Route::middleware('can:teach')->group(function (): void {
        Route::post('machines/{machine}/service', [MachineController::class, 'service']);
        Route::post('machines/{machine}/day-checks', [MachineController::class, 'dayCheck']);
        Route::get('checks/{kind}', [CheckController::class, 'index']);
        Route::put('checks/{kind}/{key}', [CheckController::class, 'store']);
        Route::post('cribs', [CribController::class, 'store']);
        Route::put('cribs/{crib}', [CribController::class, 'update']);
        Route::post('cribs/{crib}/sets', [CribController::class, 'addSet']);
        Route::post('cribs/{crib}/tools', [CribController::class, 'addTool']);
        Route::patch('tools/{tool}', [CribController::class, 'changeTool']);
        Route::delete('tools/{tool}', [CribController::class, 'removeTool']);
        Route::post('tools/{tool}/restore', [CribController::class, 'restoreTool'])->withTrashed();
        Route::post('gauges', [GaugeController::class, 'store']);
        Route::put('gauges/{gauge}', [GaugeController::class, 'update']);
        Route::post('gauges/{gauge}/checks', [GaugeController::class, 'check']);
        Route::get('bars', [BarController::class, 'index']);
        Route::post('bars', [BarController::class, 'store']);
        Route::delete('bars/{bar}', [BarController::class, 'destroy']);
        Route::get('file', [FileController::class, 'show']);
    });

    Route::middleware('can:lead')->group(function (): void {
        Route::put('shop', [ShopController::class, 'update']);
        Route::post('machines', [MachineController::class, 'store']);
        Route::put('machines/{machine}', [MachineController::class, 'update']);
        Route::delete('cribs/{crib}', [CribController::class, 'destroy']);
        Route::post('materials', [MaterialController::class, 'store']);
        Route::put('materials/{key}', [MaterialController::class, 'update']);
        Route::delete('materials/{material}', [MaterialController::class, 'destroy']);
        Route::put('policy', [PolicyController::class, 'update']);
        Route::post('file', [FileController::class, 'store']);
    });
});
