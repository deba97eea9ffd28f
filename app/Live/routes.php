<?php

declare(strict_types=1);

use App\Live\Http\ListenController;
use Illuminate\Support\Facades\Route;

Route::get('channels/{channel}', ListenController::class)->where('channel', '[a-z0-9-]{1,80}');
