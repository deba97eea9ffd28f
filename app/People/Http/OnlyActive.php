<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Whoever is no longer active here is out at once, not at the end of the session. */
final class OnlyActive
{
    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws AuthenticationException
     */
    public function handle(Request $request, Closure $next): Response
    {
        $user = Auth::user();
        if ($user instanceof User && ! $user->active) {
            Auth::logout();
            throw new AuthenticationException;
        }

        return $next($request);
    }
}
