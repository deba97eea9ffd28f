<?php

declare(strict_types=1);

namespace App\Policy;

use MillStep\Core\Policy\ShopPolicy;

/**
 * The shop's rules as they stand while one request is answered (or one job is done): read once, and handed to whoever asks. The gate asks
 * for its own, under its locks.
 */
final class ShopNow
{
    private ?ShopPolicy $policy = null;

    /** @throws \MillStep\Core\Border\InvalidInput when a stored setting is not readable */
    public function policy(): ShopPolicy
    {
        return $this->policy ??= Policy::inForce();
    }

    public function forget(): void
    {
        $this->policy = null;
    }
}
