<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\User;
use App\Support\Refusal;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * Every command says whom it is from. Two people may use one browser one after the other: what one of them typed is
 * never written to the name of the other who signed in meanwhile.
 */
final class FromWhom
{
    public const HEADER = 'X-Mill-Step-From';

    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws Refusal `another_person`, or `from_missing` when a command does not say
     */
    public function handle(Request $request, Closure $next): Response
    {
        $user = Auth::guard('web')->user();
        if ($user instanceof User && self::isCommand($request)) {
            $from = $request->header(self::HEADER);
            if (! is_string($from)) {
                throw Refusal::because('from_missing', ['header' => self::HEADER]);
            }
            if ($from !== (string) $user->id) {
                throw Refusal::because('another_person', ['name' => $user->name]);
            }
        }

        return $next($request);
    }

    /** Something that writes in a person's session; signing in says who one is, and a device has no session. */
    private static function isCommand(Request $request): bool
    {
        return $request->is('api/*')
            && ! $request->isMethodSafe()
            && ! $request->is('api/people/session', 'api/people/session/*')
            && $request->bearerToken() === null;
    }
}
