<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/** The geometry contradicts itself. */
final class Impossible extends CoreException
{
    public static function because(?string $field, string $message): self
    {
        return new self($field, $message);
    }

    public function errorCode(): string
    {
        return 'impossible';
    }
}
