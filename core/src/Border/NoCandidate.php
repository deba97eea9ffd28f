<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/** Nothing in the given set fits; the message names the nearest. */
final class NoCandidate extends CoreException
{
    /** @param  array<string, string|int|float|Message|list<string|Message>>  $terms */
    public static function in(string $field, string $code, array $terms = []): self
    {
        return new self($field, Message::of($code, $terms));
    }

    public function errorCode(): string
    {
        return 'no_candidate';
    }
}
