<?php

declare(strict_types=1);

use App\Assessment\Http\ConductController;
use App\Assessment\Http\ExceptionController;
use App\Assessment\Http\MarkController;
use App\Assessment\Http\MeasuredController;
use App\Assessment\Http\PartController;
use App\Assessment\Http\PhotoController;
use App\Assessment\Http\ReviewController;
use App\Assessment\Http\SecondController;
use App\Assessment\Http\SheetController;
use App\Assessment\Http\SheetWritingController;
use App\Assessment\Http\TriesController;
use App\Assessment\Http\WordController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->group(function (): void {
    Route::get('attempts', [SheetController::class, 'mine'])->can('teach');
    Route::post('attempts', [SheetController::class, 'open'])->can('teach');
    Route::post('exceptions', ExceptionController::class)->can('teach');
    Route::get('attempts/{attempt}', [SheetController::class, 'show']);
    Route::put('attempts/{attempt}/tasks/{task}', [SheetController::class, 'task']);
    Route::post('attempts/{attempt}/marks', [MarkController::class, 'store']);
    Route::post('attempts/{attempt}/marks/{mark}/undo', [MarkController::class, 'undo']);
    Route::post('attempts/{attempt}/conduct', [ConductController::class, 'say'])->can('teach');
    Route::post('attempts/{attempt}/paper', [ConductController::class, 'paper'])->can('teach');
    Route::post('attempts/{attempt}/notes', [MarkController::class, 'note'])->can('teach');
    Route::post('attempts/{attempt}/photos', [PhotoController::class, 'store'])->can('teach');
    Route::get('tries', TriesController::class)->can('audit');
    Route::get('parts/{code}', [PartController::class, 'show'])->middleware('throttle:30,1');
    Route::get('learners/{learner}/measuring', [MeasuredController::class, 'learner'])->can('view-record', 'learner');
    Route::get('gauges/{gauge}/repeatability', [MeasuredController::class, 'gauge'])->can('teach');
    Route::get('sheets', [SheetWritingController::class, 'index'])->can('teach');
    Route::get('sheets/{code}/opening/{learner}', [SheetController::class, 'opening'])->can('teach');
    Route::get('sheets/{code}', [SheetWritingController::class, 'show'])->can('teach');
    Route::put('sheets/{code}', [SheetWritingController::class, 'store'])->can('lead');
    Route::get('photos/{photo}', [PhotoController::class, 'show']);
    Route::put('attempts/{attempt}/second', [SecondController::class, 'take'])->can('teach');
    Route::post('attempts/{attempt}/second', [SecondController::class, 'say'])->can('teach');
    Route::post('attempts/{attempt}/answer', [WordController::class, 'answer']);
    Route::post('attempts/{attempt}/appeal', [WordController::class, 'appeal']);
    Route::post('attempts/{attempt}/appeal/answer', [WordController::class, 'answerAppeal'])->can('teach');
    Route::post('attempts/{attempt}/reviews', [ReviewController::class, 'invite'])->can('teach');
    Route::post('attempts/{attempt}/conclusion', [SheetController::class, 'conclude'])->can('teach');
    Route::post('attempts/{attempt}/cancellation', [SheetController::class, 'cancel'])->can('teach');
});

// Somebody from outside, by a link to one sheet.
Route::middleware('throttle:30,1')->group(function (): void {
    Route::post('review', [ReviewController::class, 'look']);
    Route::put('review', [ReviewController::class, 'say']);
});
