<?php

declare(strict_types=1);

namespace MillStep\StandIns;

/**
 * The relay of a machine, as the reader works it. It is on only by an answer of the gate that is a success, carries the
 * question's own id or nonce and a date of now, and only for three seconds from when that was asked. Whatever else happens,
 * it is off.
 */
final class Interlock
{
    /** An answer carries power for so long after it was asked for. */
    public const LEASE_S = 3.0;

    /** An answer dated further from this reader's own clock than that is not believed. */
    private const SKEW_S = 30;

    private float $leasedUntil = 0.0;

    public function isOn(float $now): bool
    {
        return $now < $this->leasedUntil;
    }

    public function off(): void
    {
        $this->leasedUntil = 0.0;
    }

    /**
     * @param  int  $status  of the HTTP answer
     * @param  mixed  $answer  its body, decoded
     * @param  array{id?: string, nonce?: string}  $asked  what was asked under
     * @param  float  $askedAt  seconds, when it was asked
     * @return bool whether the answer is believed
     */
    public function hear(int $status, mixed $answer, array $asked, float $askedAt): bool
    {
        $believed = ($status === 200 || $status === 201) && is_array($answer) && $asked !== []
            && array_intersect_assoc($asked, array_filter($answer, is_string(...))) === $asked
            && self::isFresh($answer['answered_at'] ?? null, $askedAt);
        $this->leasedUntil = $believed && ($answer['interlock'] ?? null) === 'on' ? $askedAt + self::LEASE_S : 0.0;

        return $believed;
    }

    private static function isFresh(mixed $at, float $now): bool
    {
        $seconds = is_string($at) ? strtotime($at) : false;

        return $seconds !== false && abs($seconds - $now) <= self::SKEW_S;
    }
}
