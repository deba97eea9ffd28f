<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\SecondFactor;
use App\People\User;
use App\Support\Refusal;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Where the policy requires a second factor, whoever has none does nothing but set one up. */
final class SecondFactorFirst
{
    /** What setting it up takes. */
    private const BEFORE = ['api/people/me', 'api/people/me/*', 'api/people/session', 'api/live/*'];

    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws Refusal `second_factor_wanted`
     */
    public function handle(Request $request, Closure $next): Response
    {
        $user = Auth::guard('web')->user();
        $first = $user instanceof User && $user->teaches() && $request->is('api/*') && ! $request->is(...self::BEFORE);
        if ($first && SecondFactor::isWantedOf($user)) {
            throw Refusal::forbidden('second_factor_wanted');
        }

        return $next($request);
    }
}
