<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// Each room brings its own routes.
Route::prefix('api')->group(function (): void {
    foreach (['People', 'Measure', 'Workshop', 'Planning', 'Learning', 'Practice', 'Assessment', 'Competency', 'Gate', 'Records', 'Content',
        'Live'] as $room) {
        Route::prefix(strtolower($room))->group(base_path("app/$room/routes.php"));
    }
});

Route::any('api/{missing}', App\Http\Missing::class)->where('missing', '.*');
