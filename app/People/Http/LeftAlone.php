<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Policy\Policy;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * A shared tablet that nobody has touched for the policy's minutes signs out. Pages ask by themselves all the time, so
 * each request says how long ago somebody last touched the page; a page that does not say counts from its last request.
 */
final class LeftAlone
{
    public const TOUCHED = 'people.touched_at';

    public const HEADER = 'X-Mill-Step-Idle';

    public static function mark(Request $request): void
    {
        $request->session()->put(self::TOUCHED, CarbonImmutable::now()->getTimestamp());
    }

    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws AuthenticationException
     */
    public function handle(Request $request, Closure $next): Response
    {
        $touched = $request->hasSession() ? $request->session()->get(self::TOUCHED) : null;
        if (is_int($touched) && Auth::guard('web')->check()) {
            $now = CarbonImmutable::now()->getTimestamp();
            $limit = 60 * Policy::inForce()->sharedIdleMinutes;
            $idle = filter_var($request->header(self::HEADER, '0'), FILTER_VALIDATE_INT, ['options' => ['min_range' => 0, 'default' => 0]]);
            // What was too long is over, whoever touches it now.
            if ($now - $touched > $limit || $idle > $limit) {
                Auth::logout();
                $request->session()->invalidate();
                $request->session()->regenerateToken();
                throw new AuthenticationException;
            }
            $request->session()->put(self::TOUCHED, max($touched, $now - $idle));
        }

        return $next($request);
    }
}
