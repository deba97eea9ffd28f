<?php

declare(strict_types=1);

use App\Measure\Http\SizeController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->post('size', SizeController::class);
