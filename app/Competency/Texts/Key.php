<?php

declare(strict_types=1);

namespace App\Competency\Texts;

/** One person's key: 32 bytes, from which one is drawn for commitments and one for what is sealed. */
final readonly class Key
{
    public function __construct(#[\SensitiveParameter] private string $bytes)
    {
        if (strlen($bytes) !== 32) {
            throw new \LogicException('A key of competency_keys is damaged: 32 bytes in base64.');
        }
    }

    /** Says that this was written, and nothing of what: without the key nobody can try words on it. */
    public function commitTo(string $text): string
    {
        return hash_hmac('sha256', $text, $this->for('commitment'));
    }

    public function seal(string $text): string
    {
        $nonce = random_bytes(SODIUM_CRYPTO_SECRETBOX_NONCEBYTES);

        return base64_encode($nonce.sodium_crypto_secretbox($text, $nonce, $this->for('words')));
    }

    /** @return string|null null where it is damaged, or was sealed with another key */
    public function open(string $sealed): ?string
    {
        $bytes = (string) base64_decode($sealed, true);
        $least = SODIUM_CRYPTO_SECRETBOX_NONCEBYTES + SODIUM_CRYPTO_SECRETBOX_MACBYTES;
        $text = strlen($bytes) < $least ? false : sodium_crypto_secretbox_open(
            substr($bytes, SODIUM_CRYPTO_SECRETBOX_NONCEBYTES),
            substr($bytes, 0, SODIUM_CRYPTO_SECRETBOX_NONCEBYTES),
            $this->for('words'),
        );

        return $text === false ? null : $text;
    }

    /** @return non-empty-string */
    private function for(string $purpose): string
    {
        return hash_hmac('sha256', $purpose, $this->bytes, true);
    }
}
