<?php

declare(strict_types=1);

use App\Measure\Http\SizesController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->post('sizes', SizesController::class);
