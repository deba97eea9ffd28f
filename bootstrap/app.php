<?php

declare(strict_types=1);

use App\Http\Problem;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;
use MillStep\Core\Border\CoreException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        using: function (): void {
            // Without a session: a device is known by its token, and whoever watches the shop is nobody.
            Route::get('up', App\Http\Up::class);
            Route::middleware('device')->prefix('api/gate')->group(base_path('app/Gate/devices.php'));
            Route::middleware('web')->group(base_path('routes/web.php'));
            // Everything else is the single-page front end: a page that opens also while the records are away, and says so.
            Route::view('{page?}', 'app')->where('page', '^(?!api/|build/).*$');
        },
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // Same origin needs no CORS, and its package is not to be had everywhere (docs/decisions/0003).
        $middleware->remove(HandleCors::class);
        $middleware->redirectGuestsTo('/sign-in');
        // What is written is kept to the letter, the last line's end included.
        $middleware->trimStrings(except: ['texts.*.text']);
        $middleware->group('device', [App\Language\SpeakLanguage::class, App\Http\NoNul::class, App\Http\OnceMore::class,
            SubstituteBindings::class]);
        $middleware->web(append: [App\Language\SpeakLanguage::class, App\Http\NoNul::class, App\Http\OnceMore::class,
            App\People\Http\OnlyActive::class,
            App\People\Http\LeftAlone::class,
            App\People\Http\FromWhom::class, App\People\Http\SecondFactorFirst::class]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(Problem::isApi(...));
        $exceptions->dontReport([CoreException::class, App\Support\Refusal::class]);
        $exceptions->render(fn (Throwable $fault, Request $request) => Problem::of($fault, $request));
    })
    ->withCommands([
        App\Content\Agree\Agree::class,
        App\Competency\VerifyLedger::class, App\Competency\AnchorLedger::class, App\Competency\AdoptLines::class,
        App\Competency\ForgetAgain::class, App\Competency\Familiar\KeepUsedBefore::class,
        App\Gate\ReviewTurns::class,
        App\Demo\DemoCommand::class, App\People\AddLead::class, App\People\ShowFirstCode::class, App\Records\Doctor::class,
        App\Records\Prune::class, App\Assessment\ConcludeStopped::class,
        App\Http\DescribeApi::class,
    ])
    ->create();
