<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

final class UnknownOperation extends CoreException
{
    public static function named(string $name): self
    {
        return new self('op', Message::of('input.unknown_operation', ['name' => Message::quote($name, 60)]));
    }

    public function errorCode(): string
    {
        return 'unknown_op';
    }
}
