<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/**
 * How many lines the ledger had at an instant and the hash of the last: with a signature (Ed25519) it proves later that
 * nothing up to there was removed, altered or written anew.
 */
final readonly class ChainHead
{
    public function __construct(public int $count, public string $hash, public \DateTimeImmutable $at)
    {
    }

    /** @param  non-empty-string  $secretKey */
    public function signedWith(#[\SensitiveParameter] string $secretKey): string
    {
        return base64_encode(sodium_crypto_sign_detached($this->text(), $secretKey));
    }

    /** @param  non-empty-string  $publicKey */
    public function isSignedBy(string $publicKey, string $signature): bool
    {
        $bytes = base64_decode($signature, true);

        return is_string($bytes) && strlen($bytes) === SODIUM_CRYPTO_SIGN_BYTES
            && sodium_crypto_sign_verify_detached($bytes, $this->text(), $publicKey);
    }

    private function text(): string
    {
        return sprintf(
            "mill-step ledger\n%d\n%s\n%s",
            $this->count,
            $this->hash,
            $this->at->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
        );
    }
}
