<?php

declare(strict_types=1);

namespace App\Http;

use App\Language\Speech;
use App\Support\Given;
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
        foreach (Given::fields($request->input()) as $field => $value) {
            if (self::hasNul([$field => $value])) {
                throw Speech::fault(str_replace("\0", '', $field), 'nul');
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
