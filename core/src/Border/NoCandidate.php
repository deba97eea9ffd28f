<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/** Nothing in the given set fits; the message names the nearest. */
final class NoCandidate extends CoreException
{
    public static function in(string $field, string $message): self
    {
        return new self($field, $message);
    }

    public function errorCode(): string
    {
        return 'no_candidate';
    }
}
