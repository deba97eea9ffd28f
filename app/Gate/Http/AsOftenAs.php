<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\Device;
use App\Support\Given;
use Closure;
use Illuminate\Cache\RateLimiter;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\Response;

/** So many requests a minute from one device: several may stand behind one address. Counted in memory, not in the database. */
final class AsOftenAs
{
    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws ThrottleRequestsException
     */
    public function handle(Request $request, Closure $next, string $what, string $most): Response
    {
        $device = $request->user('device');
        $limits = new RateLimiter(Cache::store(Given::text(config('millstep.gate_limits')) ?: null));
        $key = $what.':'.($device instanceof Device ? $device->id : '');
        if ($limits->tooManyAttempts($key, (int) $most)) {
            throw new ThrottleRequestsException(headers: ['Retry-After' => (string) $limits->availableIn($key)]);
        }
        $limits->hit($key);

        return $next($request);
    }
}
