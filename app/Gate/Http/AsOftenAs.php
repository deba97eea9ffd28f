<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\Device;
use App\Support\Given;
use Closure;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\Response;

/** So many requests a minute from one device: several may stand behind one address. Counted in memory, not in the database. */
final class AsOftenAs
{
    private const WINDOW_S = 60;

    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws ThrottleRequestsException
     */
    public function handle(Request $request, Closure $next, string $what, string $most): Response
    {
        $device = $request->user('device');
        $counts = Cache::store(Given::text(config('millstep.gate_limits')) ?: null);
        $minute = intdiv(now()->getTimestamp(), self::WINDOW_S);
        $key = "gate.$what.".($device instanceof Device ? $device->id : '').".$minute";
        $counts->add($key, 0, self::WINDOW_S + 5);
        if ((int) $counts->increment($key) > (int) $most) {
            $left = ($minute + 1) * self::WINDOW_S - now()->getTimestamp();
            throw new ThrottleRequestsException(headers: ['Retry-After' => (string) $left]);
        }

        return $next($request);
    }
}
