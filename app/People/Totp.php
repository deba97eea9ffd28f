<?php

declare(strict_types=1);

namespace App\People;

use ParagonIE\ConstantTime\Base32;

/**
 * Codes that change every half minute (RFC 6238 on RFC 4226, HMAC-SHA-1, 30 s), from a secret that a phone keeps too.
 * A code counts one step before and after, since clocks differ, and once only.
 */
final class Totp
{
    private const STEP_S = 30;

    private const SLACK = 1;

    public function __construct(private readonly int $digits = 6)
    {
    }

    /** A new secret, as apps take it: 160 bits in base 32. */
    public static function secret(): string
    {
        return Base32::encodeUpperUnpadded(random_bytes(20));
    }

    public function code(#[\SensitiveParameter] string $secret, int $step): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), Base32::decodeUpper($secret), true);
        $at = ord($hash[19]) & 0x0F;
        /** @var array{1: int} $number */
        $number = unpack('N', substr($hash, $at, 4));

        return str_pad((string) (($number[1] & 0x7FFFFFFF) % 10 ** $this->digits), $this->digits, '0', STR_PAD_LEFT);
    }

    public static function stepAt(int $seconds): int
    {
        return intdiv($seconds, self::STEP_S);
    }

    /** The step that a code is of, or null where it is of none that counts now or of one that was used. */
    public function stepOf(#[\SensitiveParameter] string $code, #[\SensitiveParameter] string $secret, int $seconds, ?int $used): ?int
    {
        $found = null;
        for ($step = self::stepAt($seconds) - self::SLACK; $step <= self::stepAt($seconds) + self::SLACK; $step++) {
            // All are looked at, so that the time taken says nothing.
            if (hash_equals($this->code($secret, $step), $code) && $step > ($used ?? -1)) {
                $found = $step;
            }
        }

        return $found;
    }

    /** What an app reads from the square: issuer, whose, secret. */
    public static function uri(#[\SensitiveParameter] string $secret, string $email): string
    {
        return sprintf(
            'otpauth://totp/%s:%s?secret=%s&issuer=%s',
            rawurlencode('Mill Step'),
            rawurlencode($email),
            $secret,
            rawurlencode('Mill Step'),
        );
    }
}
