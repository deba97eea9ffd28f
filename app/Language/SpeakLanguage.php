<?php

declare(strict_types=1);

namespace App\Language;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What the framework itself says is said in the language of whoever asks, too. */
final class SpeakLanguage
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        app()->setLocale(Speech::of($request)->language);

        return $next($request);
    }
}
