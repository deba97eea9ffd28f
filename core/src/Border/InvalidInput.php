<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/** A value is missing, not a finite number, out of its range or cannot be understood. */
final class InvalidInput extends CoreException
{
    /** @param  array<string, string|int|float|Message|list<string|Message>>  $terms */
    public static function at(string $field, string $code, array $terms = []): self
    {
        return new self($field, Message::of($code, $terms));
    }

    /** The same fault, said of another field. */
    public static function named(string $field, Message $says): self
    {
        return new self($field, $says);
    }

    public static function notAnObject(): self
    {
        return new self(null, Message::of('input.not_an_object'));
    }

    public function errorCode(): string
    {
        return 'invalid_input';
    }
}
