<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** What somebody says in their own words, and whether it says anything. */
final readonly class OwnWords
{
    /** Letters that a reason has at least. */
    public const REASON = 3;

    /** And one that stands for something that was not seen, or came to nothing. */
    public const ACCOUNT = 10;

    public static function areReason(string $words): bool
    {
        return self::letters($words) >= self::REASON;
    }

    public static function areAccount(string $words): bool
    {
        return self::letters($words) >= self::ACCOUNT;
    }

    /** However much white space stands between them. */
    private static function letters(string $words): int
    {
        return mb_strlen((string) preg_replace('/\s+/u', ' ', trim($words)));
    }
}
