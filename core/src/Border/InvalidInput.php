<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/** A value is missing, not a finite number, out of its range or cannot be understood. */
final class InvalidInput extends CoreException
{
    public static function at(string $field, string $message): self
    {
        return new self($field, $message);
    }

    public static function notAnObject(): self
    {
        return new self(null, 'The input must be one JSON object.');
    }

    public function errorCode(): string
    {
        return 'invalid_input';
    }
}
