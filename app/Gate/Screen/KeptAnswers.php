<?php

declare(strict_types=1);

namespace App\Gate\Screen;

/**
 * What screens were told last, in the memory of the servers, each with the facts that it was decided by. Where there is no such memory
 * nothing is kept, and every question is decided from the start.
 *
 * @phpstan-type Kept array{machine: int, on: bool, now: string, facts: string, marks: array{string, string}, body: string}
 */
final class KeptAnswers
{
    /** Seconds; what is older is of no use (Again::SECONDS). */
    private const FOR = 4;

    /** @var \ArrayObject<string, Kept>|null a test's own memory, which lives as long as it; null: the server's */
    public static ?\ArrayObject $instead = null;

    /**
     * @param  string  $facts  as the database said them, with the instant in front
     * @param  array<string, mixed>  $answer
     */
    public static function keep(int $token, string $language, int $machine, string $facts, array $answer): void
    {
        $split = self::split($facts);
        if ($split === null || ! self::remembers()) {
            return;
        }
        // Marks that nobody's name can hold, where what is said anew each time stands.
        $marks = [bin2hex(random_bytes(12)), bin2hex(random_bytes(12))];
        $read = $answer['last_read'];
        $answer = ['nonce' => $marks[0], 'answered_at' => $marks[1]] + [
            ...$answer,
            'last_read' => is_array($read) ? [...$read, 'answered_at' => $marks[1]] : null,
        ];
        $kept = [
            'machine' => $machine, 'on' => $answer['interlock'] === 'on', 'now' => $split[0], 'facts' => $split[1], 'marks' => $marks,
            'body' => json_encode($answer, JSON_THROW_ON_ERROR | Again::FLAGS),
        ];
        self::$instead === null ? apcu_store(self::name($token, $language), $kept, self::FOR)
            : self::$instead->offsetSet(self::name($token, $language), $kept);
    }

    /** @return Kept|null */
    public static function of(int $token, string $language): ?array
    {
        /** @var Kept|false|null $kept */
        $kept = match (true) {
            self::$instead !== null => self::$instead[self::name($token, $language)] ?? null,
            self::remembers() => apcu_fetch(self::name($token, $language)),
            default => null,
        };

        return is_array($kept) ? $kept : null;
    }

    /** How often this token has asked within the minute, this time included. */
    public static function count(int $token): int
    {
        return self::$instead !== null || ! self::remembers() ? 1 : (int) apcu_inc("gate.asked.$token.".intdiv(time(), 60), 1, $ok, 90);
    }

    /**
     * The instant that facts were looked at, and the facts themselves.
     *
     * @return array{string, string}|null
     */
    public static function split(string $facts): ?array
    {
        return preg_match('/^\{"now" : "([^"]+)", /', $facts, $found) === 1
            ? [$found[1], hash('sha256', substr($facts, strlen($found[0])))] : null;
    }

    private static function remembers(): bool
    {
        return self::$instead !== null || (function_exists('apcu_enabled') && apcu_enabled());
    }

    private static function name(int $token, string $language): string
    {
        return "gate.screen.$token.".hash('sha256', $language);
    }
}
