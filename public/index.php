<?php

declare(strict_types=1);

use Illuminate\Foundation\Application;
use Illuminate\Http\Request;

define('LARAVEL_START', microtime(true));

// A machine's screen asks every second: where nothing has changed it is answered without the framework. Only php-fpm has the class
// already (bootstrap/preload.php).
if (str_starts_with($_SERVER['REQUEST_URI'] ?? '', '/api/gate/screen?') && class_exists(App\Gate\Screen\Front::class, false)
    && App\Gate\Screen\Front::answers($_SERVER, $_GET)) {
    return;
}

require __DIR__.'/../vendor/autoload.php';

/** @var Application $app */
$app = require __DIR__.'/../bootstrap/app.php';

$app->handleRequest(Request::capture());
