<?php

declare(strict_types=1);

namespace MillStep\StandIns;

/**
 * What the reader believes of an answer, and until when the relay may be on by it: a success that carries the question's own id
 * or nonce and a date of now, for three seconds from when that was asked, by the clock that only ever goes forward (hrtime).
 * Whatever else happens, it is off. The relay itself is moved by a process of its own (Relay), which no answer can hold up.
 */
final class Interlock
{
    /** An answer carries power for so long after it was asked for. */
    public const LEASE_S = 3.0;

    /** An answer dated further from this reader's own clock than that is not believed. */
    private const SKEW_S = 30;

    private const NS = 1_000_000_000;

    private int $leasedUntil = 0;

    /** @param  int  $now  nanoseconds of hrtime */
    public function isOn(int $now): bool
    {
        return $now < $this->leasedUntil;
    }

    public function off(): void
    {
        $this->leasedUntil = 0;
    }

    /** @return int when the relay goes off by itself, in nanoseconds of hrtime; 0: now */
    public function deadline(): int
    {
        return $this->leasedUntil;
    }

    /**
     * @param  int  $status  of the HTTP answer
     * @param  mixed  $answer  its body, decoded
     * @param  array{id?: string, nonce?: string}  $asked  what was asked under
     * @param  int  $askedAt  when it was asked, in nanoseconds of hrtime
     * @param  float  $clock  seconds, what this reader's own clock says now
     * @return bool whether the answer is believed
     */
    public function hear(int $status, mixed $answer, array $asked, int $askedAt, float $clock): bool
    {
        $believed = ($status === 200 || $status === 201) && is_array($answer) && $asked !== []
            && array_intersect_assoc($asked, array_filter($answer, is_string(...))) === $asked
            && self::isFresh($answer['answered_at'] ?? null, $clock);
        $this->leasedUntil = $believed && ($answer['interlock'] ?? null) === 'on' ? $askedAt + (int) (self::LEASE_S * self::NS) : 0;

        return $believed;
    }

    private static function isFresh(mixed $at, float $now): bool
    {
        $seconds = is_string($at) ? strtotime($at) : false;

        return $seconds !== false && abs($seconds - $now) <= self::SKEW_S;
    }
}
