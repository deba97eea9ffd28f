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
        $middleware->web(append: [App\Http\NoNul::class, App\People\Http\OnlyActive::class, App\People\Http\FromWhom::class]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*'));
        $exceptions->dontReport(CoreException::class);
        $exceptions->render(fn (CoreException $fault) => Problem::fromCore($fault));
        $exceptions->render(fn (App\Support\Refusal $refusal) => Problem::fromRefusal($refusal));
        $exceptions->dontReport(App\Support\Refusal::class);
        // A session that ended is said in words that a person understands, with a code that the front end knows.
        $exceptions->render(
            fn (Illuminate\Auth\AuthenticationException $fault, Request $request) => $request->is('api/*') ? Problem::signedOut(401) : null,
        );
        $exceptions->render(
            fn (Symfony\Component\HttpKernel\Exception\HttpException $fault, Request $request) => $fault->getStatusCode() === 419 && $request->is('api/*') ? Problem::signedOut(419) : null,
        );
    })
    ->withCommands([
        App\Competency\VerifyLedger::class, App\Competency\AnchorLedger::class, App\Gate\ReviewTurns::class,
        App\Demo\DemoCommand::class, App\People\AddLead::class, App\Http\DescribeApi::class,
    ])
    ->create();
