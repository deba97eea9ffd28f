<?php

declare(strict_types=1);

namespace App\Support;

/**
 * The shop's rules do not allow what was asked. The code is stable for the front end and the tests; the
 * message says what, why and what to do next.
 */
final class Refusal extends \RuntimeException
{
    private function __construct(public readonly string $reason, string $message, public readonly int $status)
    {
        parent::__construct($message);
    }

    public static function because(string $reason, string $message): self
    {
        return new self($reason, $message, 409);
    }

    public static function forbidden(string $reason, string $message): self
    {
        return new self($reason, $message, 403);
    }

    /** An id is made once for one thing. Met again with another it is refused, so that nothing is lost behind a false yes. */
    public static function idUsed(): self
    {
        return new self('id_used', 'This was sent before as something else, so nothing was written. Enter it again.', 409);
    }

    public static function tooMany(string $reason, string $message): self
    {
        return new self($reason, $message, 429);
    }
}
