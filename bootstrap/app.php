<?php

declare(strict_types=1);

use App\Http\Problem;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use MillStep\Core\Exception\CoreException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        health: '/up',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // Same origin needs no CORS, and its package is not to be had everywhere (docs/decisions/0003).
        $middleware->remove(HandleCors::class);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->web(append: [App\People\Http\OnlyActive::class]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*'));
        $exceptions->dontReport(CoreException::class);
        $exceptions->render(fn (CoreException $fault) => Problem::fromCore($fault));
        $exceptions->render(fn (App\Support\Refusal $refusal) => Problem::fromRefusal($refusal));
        $exceptions->dontReport(App\Support\Refusal::class);
    })
    ->withCommands([App\Competency\VerifyLedger::class, App\Demo\DemoCommand::class, App\People\AddLead::class, App\Http\DescribeApi::class])
    ->create();
