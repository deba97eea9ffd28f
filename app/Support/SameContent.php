<?php

declare(strict_types=1);

namespace App\Support;

/** Whether two pieces of content say the same. PostgreSQL keeps no order of keys; the order of a list counts. */
final class SameContent
{
    public static function is(mixed $one, mixed $other): bool
    {
        return json_encode(self::ordered($one)) === json_encode(self::ordered($other));
    }

    private static function ordered(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        if (! array_is_list($value)) {
            ksort($value);
        }

        return array_map(self::ordered(...), $value);
    }
}
