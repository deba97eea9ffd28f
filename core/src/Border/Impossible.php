<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/** The geometry contradicts itself. */
final class Impossible extends CoreException
{
    /** @param  array<string, string|int|float|Message|list<string|Message>>  $terms */
    public static function because(?string $field, string $code, array $terms = []): self
    {
        return new self($field, Message::of($code, $terms));
    }

    public function errorCode(): string
    {
        return 'impossible';
    }
}
