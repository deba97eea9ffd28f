<?php

declare(strict_types=1);

use App\Learning\Http\BindingController;
use App\Learning\Http\CheckController;
use App\Learning\Http\CheckFiguresController;
use App\Learning\Http\LessonController;
use App\Learning\Http\MemoryController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('lessons/{code}', [LessonController::class, 'show']);
    Route::put('progress/{progress}/steps/{step}', [LessonController::class, 'answer']);
    Route::put('progress/{progress}/notes', [LessonController::class, 'notes']);
    Route::get('holds/{hold}/openers', [LessonController::class, 'openers']);
    Route::post('holds/{hold}/opening-here', [LessonController::class, 'openHere']);
    Route::get('lessons/{code}/bindings', [BindingController::class, 'index'])->can('teach');
    Route::put('lessons/{code}/bindings/{cohort}', [BindingController::class, 'store'])->can('teach');
    Route::delete('lessons/{code}/bindings/{cohort}', [BindingController::class, 'destroy'])->can('teach');
    Route::post('holds/{hold}/return', [LessonController::class, 'sendBack'])->can('teach');
    Route::get('looks-here', [LessonController::class, 'looksHere'])->can('teach');
    Route::post('holds/{hold}/disowning', [LessonController::class, 'disown'])->can('teach');
    Route::post('holds/{hold}/open', [LessonController::class, 'open'])->can('teach');
    Route::post('checks/{code}/attempts', [CheckController::class, 'start']);
    Route::get('attempts/{attempt}', [CheckController::class, 'show']);
    Route::post('attempts/{attempt}/answers', [CheckController::class, 'handIn']);
    Route::post('checks/{code}/papers', [CheckController::class, 'onPaper'])->can('teach');
    Route::get('attempts/{attempt}/key', [CheckController::class, 'key'])->can('teach');
    Route::delete('attempts/{attempt}', [CheckController::class, 'putAway'])->can('teach');
    Route::get('checks', [CheckFiguresController::class, 'index'])->can('teach');
    Route::get('checks/{code}/figures', [CheckFiguresController::class, 'show'])->can('teach');
    Route::post('recalls', [MemoryController::class, 'ask']);
    Route::post('recalls/{recall}/answer', [MemoryController::class, 'answer']);
    Route::get('learners/{learner}/memory', [MemoryController::class, 'fading'])->can('view-record', 'learner');
    Route::get('cohorts/{cohort}/warm-up', [MemoryController::class, 'warmUp'])->can('teach');
});
