<?php

declare(strict_types=1);

use App\Planning\Http\DrillPointController;
use App\Planning\Http\PlanController;
use App\Planning\Http\PlannerController;
use App\Planning\Http\PolicyPreviewController;
use App\Planning\Http\WallChartController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('plans', [PlanController::class, 'index']);
    Route::get('plans/{plan}', [PlanController::class, 'show']);
    Route::put('plans/{plan}', [PlanController::class, 'store']);
    Route::delete('plans/{plan}', [PlanController::class, 'destroy']);
    Route::post('plans/{plan}/restoration', [PlanController::class, 'restore']);
    Route::get('plans/{first}/compared-with/{second}', [PlanController::class, 'compare']);
    Route::post('drill-point', DrillPointController::class);
    Route::get('charts/{chart}', [WallChartController::class, 'show']);
    Route::get('charts/{chart}/{format}', [WallChartController::class, 'file']);
    Route::post('policy-preview', PolicyPreviewController::class)->can('teach');

    Route::post('{kind}/questions', [PlannerController::class, 'questions']);
    Route::post('{kind}/answers', [PlannerController::class, 'answer']);
    Route::post('{kind}/files/{format}', [PlannerController::class, 'file']);
    Route::post('{kind}', [PlannerController::class, 'plan']);
});
