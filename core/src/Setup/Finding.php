<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Border\Result;

final readonly class Finding extends Result
{
    private function __construct(public string $code, public Severity $severity, public string $reason, public string $lesson)
    {
    }

    public static function stop(string $code, string $reason, string $lesson): self
    {
        return new self($code, Severity::Stop, $reason, $lesson);
    }

    public static function fix(string $code, string $reason, string $lesson): self
    {
        return new self($code, Severity::Fix, $reason, $lesson);
    }

    public static function note(string $code, string $reason, string $lesson): self
    {
        return new self($code, Severity::Note, $reason, $lesson);
    }

    public static function unknown(string $fact): self
    {
        return new self(
            'unknown_'.$fact,
            Severity::Fix,
            sprintf('Nothing is said about %s, so it cannot be judged. Look, then say.', str_replace('_', ' ', $fact)),
            'A2',
        );
    }
}
