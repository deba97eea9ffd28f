<?php

declare(strict_types=1);

use App\Content\Http\LessonWritingController;
use App\Content\Http\PackController;
use App\Content\Http\PlanChoicesController;
use App\Content\Http\SetUpController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->get('plan-choices', PlanChoicesController::class);
Route::middleware(['auth', 'can:teach'])->group(function (): void {
    Route::get('lessons', [LessonWritingController::class, 'index']);
    Route::post('lessons/preview', [LessonWritingController::class, 'preview']);
    Route::get('lessons/{code}', [LessonWritingController::class, 'show']);
    Route::get('lessons/{code}/versions/{version}', [LessonWritingController::class, 'version'])->where('version', '[0-9]{1,9}');
});
Route::middleware(['auth', 'can:lead'])->group(function (): void {
    Route::get('set-up', SetUpController::class);
    Route::get('packs', [PackController::class, 'index']);
    Route::post('packs', [PackController::class, 'bring']);
    Route::post('packs/{code}', [PackController::class, 'store']);
    Route::get('packs/{code}/file', [PackController::class, 'file']);
    Route::put('lessons/{code}', [LessonWritingController::class, 'store']);
    Route::post('lessons/{code}/retirement', [LessonWritingController::class, 'retire']);
    Route::delete('lessons/{code}/retirement', [LessonWritingController::class, 'restore']);
});
