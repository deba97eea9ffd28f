<?php

declare(strict_types=1);

namespace App\Support;

use MillStep\Core\Border\Message;

/**
 * The shop's rules do not allow what was asked. The reason is stable for the front end and the tests; what is said,
 * why and what to do next, stands in the locale files under `refused`.
 */
final class Refusal extends \RuntimeException
{
    private function __construct(public readonly string $reason, public readonly Message $says, public readonly int $status)
    {
        parent::__construct($says->code);
    }

    /**
     * @param  array<string, string|int|float|Message|list<string|Message>>  $terms
     * @param  string|null  $says  where a reason has more than one sentence
     */
    public static function because(string $reason, array $terms = [], ?string $says = null): self
    {
        return self::of($reason, $terms, $says, 409);
    }

    /** @param  array<string, string|int|float|Message|list<string|Message>>  $terms */
    public static function forbidden(string $reason, array $terms = [], ?string $says = null): self
    {
        return self::of($reason, $terms, $says, 403);
    }

    /** An id is made once for one thing. Met again with another it is refused, so that nothing is lost behind a false yes. */
    public static function idUsed(): self
    {
        return self::because('id_used');
    }

    /** @param  array<string, string|int|float|Message|list<string|Message>>  $terms */
    public static function tooMany(string $reason, array $terms = []): self
    {
        return self::of($reason, $terms, null, 429);
    }

    /** @param  array<string, string|int|float|Message|list<string|Message>>  $terms */
    private static function of(string $reason, array $terms, ?string $says, int $status): self
    {
        return new self($reason, Message::of('refused.'.($says ?? $reason), $terms), $status);
    }
}
