<?php

declare(strict_types=1);

namespace App\Http;

use App\Language\Speech;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/** No text of anybody's has a NUL in it, and the database takes none: what does is refused at the door, with its field. */
final class NoNul
{
    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws ValidationException
     */
    public function handle(Request $request, Closure $next): Response
    {
        $given = $request->input();
        // A body that is a list has no names; its places are named.
        foreach (is_array($given) ? $given : [] as $field => $value) {
            if (self::hasNul([$field => $value])) {
                throw Speech::fault(str_replace("\0", '', (string) $field), 'nul');
            }
        }

        return $next($request);
    }

    /** @param  array<array-key, mixed>  $values */
    private static function hasNul(array $values): bool
    {
        foreach ($values as $key => $value) {
            if (str_contains((string) $key, "\0") || (is_string($value) && str_contains($value,
                "\0")) || (is_array($value) && self::hasNul($value))) {
                return true;
            }
        }

        return false;
    }
}
