<?php

declare(strict_types=1);

namespace App\Http;

use App\Support\DatabaseAway;
use Closure;
use Illuminate\Database\DatabaseManager;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/**
 * A database that goes away under a request mostly has its successor by the next try. What may be repeated is, once: what only reads,
 * and what carries an id of its own, which is the same thing however often it comes. Anything else is answered with 503.
 */
final class OnceMore
{
    /** Milliseconds between the two, for whoever takes over. */
    private const PAUSE = 150;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $answer = $next($request);
        if (! self::wentAway($answer) || ! self::mayBeRepeated($request)) {
            return $answer;
        }
        usleep(self::PAUSE * 1000);
        try {
            app(DatabaseManager::class)->reconnect();
        } catch (\PDOException) {
            return $answer;
        }

        return $next($request);
    }

    private static function wentAway(Response $answer): bool
    {
        $fault = property_exists($answer, 'exception') ? $answer->exception : null;

        return $fault instanceof \PDOException && DatabaseAway::is($fault);
    }

    private static function mayBeRepeated(Request $request): bool
    {
        return $request->isMethodSafe() || Str::isUuid($request->input('id'));
    }
}
