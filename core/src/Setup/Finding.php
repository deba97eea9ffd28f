<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

/** What a rule has against a setup: its code, how hard it weighs, and the reason with the figures it was judged by. */
final readonly class Finding extends Result
{
    private function __construct(public string $code, public Severity $severity, public Message $reason)
    {
    }

    /**
     * @param  array<string, string|int|float|Message|list<string|Message>>  $terms
     * @param  string|null  $reason  where a code has more than one
     */
    public static function stop(string $code, array $terms = [], ?string $reason = null): self
    {
        return self::found($code, Severity::Stop, $terms, $reason);
    }

    /** @param  array<string, string|int|float|Message|list<string|Message>>  $terms */
    public static function fix(string $code, array $terms = [], ?string $reason = null): self
    {
        return self::found($code, Severity::Fix, $terms, $reason);
    }

    /** @param  array<string, string|int|float|Message|list<string|Message>>  $terms */
    public static function note(string $code, array $terms = [], ?string $reason = null): self
    {
        return self::found($code, Severity::Note, $terms, $reason);
    }

    public static function unknown(string $fact): self
    {
        return new self('unknown_'.$fact, Severity::Fix, Message::of('setup.unknown', ['fact' => Message::of("setup.fact.$fact")]));
    }

    /** @param  array<string, string|int|float|Message|list<string|Message>>  $terms */
    private static function found(string $code, Severity $severity, array $terms, ?string $reason): self
    {
        return new self($code, $severity, Message::of('setup.finding.'.($reason ?? $code), $terms));
    }
}
