<?php

declare(strict_types=1);

use App\Planning\Http\HolePlanController;
use Illuminate\Support\Facades\Route;

Route::middleware('auth')->post('hole', HolePlanController::class);
