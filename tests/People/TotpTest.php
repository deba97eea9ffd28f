<?php

declare(strict_types=1);

use App\People\Totp;
use ParagonIE\ConstantTime\Base32;

/** RFC 6238, appendix B: seconds and the eight digits of SHA-1 for the secret "12345678901234567890". */
const RFC_6238 = [
    [59, '94287082'], [1_111_111_109, '07081804'], [1_111_111_111, '14050471'], [1_234_567_890, '89005924'],
    [2_000_000_000, '69279037'], [20_000_000_000, '65353130'],
];

function rfc_secret(): string
{
    return Base32::encodeUpperUnpadded('12345678901234567890');
}

it('gives the codes of RFC 6238', function (int $seconds, string $code): void {
    expect((new Totp(8))->code(rfc_secret(), Totp::stepAt($seconds)))->toBe($code)
        ->and((new Totp)->code(rfc_secret(), Totp::stepAt($seconds)))->toBe(substr($code, 2));
})->with(RFC_6238);

it('takes a code one step early or late, no further, and none that was used', function (): void {
    $totp = new Totp;
    $now = 1_234_567_890;
    $step = Totp::stepAt($now);
    foreach ([-2 => null, -1 => $step - 1, 0 => $step, 1 => $step + 1, 2 => null] as $off => $found) {
        expect($totp->stepOf($totp->code(rfc_secret(), $step + $off), rfc_secret(), $now, null))->toBe($found);
    }
    expect($totp->stepOf($totp->code(rfc_secret(), $step), rfc_secret(), $now, $step))->toBeNull()
        ->and($totp->stepOf($totp->code(rfc_secret(), $step + 1), rfc_secret(), $now, $step))->toBe($step + 1)
        ->and($totp->stepOf('', rfc_secret(), $now, null))->toBeNull();
});

it('makes secrets of 160 bits, each another', function (): void {
    expect(Totp::secret())->not->toBe(Totp::secret())->and(strlen(Base32::decodeUpper(Totp::secret())))->toBe(20);
});
