<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/**
 * What went wrong, in words for the person who typed it.
 *
 * `code` is one of `invalid_input`, `no_candidate`, `impossible`, `unknown_op`; `field` is the key of the
 * input that is at fault (its topmost one; the message names the place inside it), or null.
 */
abstract class CoreException extends \RuntimeException
{
    final protected function __construct(public readonly ?string $field, string $message)
    {
        parent::__construct($message);
    }

    abstract public function errorCode(): string;

    /** @return array{code: string, field: string|null, message: string} */
    final public function toArray(): array
    {
        return ['code' => $this->errorCode(), 'field' => $this->field, 'message' => $this->getMessage()];
    }
}
