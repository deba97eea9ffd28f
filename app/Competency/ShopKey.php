<?php

declare(strict_types=1);

namespace App\Competency;

use Illuminate\Support\Facades\Config;
use MillStep\Core\Competency\ChainHead;

/**
 * The shop's own key (MILLSTEP_SHOP_KEY, 32 bytes in base64). It seals each line of the ledger and signs the head of
 * the chain; the database never sees it, so nobody can forge a line with the database's roles alone.
 */
final class ShopKey
{
    /** @return non-empty-string */
    private function seed(): string
    {
        $seed = base64_decode(Config::string('millstep.shop_key'), true);
        if ($seed === false || strlen($seed) !== SODIUM_CRYPTO_SIGN_SEEDBYTES) {
            throw new \LogicException('MILLSTEP_SHOP_KEY is missing or damaged: 32 bytes in base64. Without it nothing can be recorded.');
        }

        return $seed;
    }

    public function seal(string $hash): string
    {
        return hash_hmac('sha256', $hash, hash_hmac('sha256', 'ledger-seal', $this->seed(), true));
    }

    public function sign(ChainHead $head): string
    {
        return $head->signedWith(sodium_crypto_sign_secretkey(sodium_crypto_sign_seed_keypair($this->seed())));
    }

    public function hasSigned(ChainHead $head, string $signature): bool
    {
        return $head->isSignedBy(sodium_crypto_sign_publickey(sodium_crypto_sign_seed_keypair($this->seed())), $signature);
    }
}
