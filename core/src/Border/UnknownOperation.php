<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

final class UnknownOperation extends CoreException
{
    public static function named(string $name): self
    {
        return new self(
            'op',
            sprintf('There is no operation "%s". `php bin/compute --list` lists them.', mb_strimwidth($name, 0, 60, '…')),
        );
    }

    public function errorCode(): string
    {
        return 'unknown_op';
    }
}
