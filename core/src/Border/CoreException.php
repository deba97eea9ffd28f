<?php

declare(strict_types=1);

namespace MillStep\Core\Border;

/**
 * What went wrong, for the person who typed it: `says` is the message, `field` the key of the input that is at fault
 * (its topmost one; the message names the place inside it), or null.
 *
 * The code for programs is one of `invalid_input`, `no_candidate`, `impossible`, `unknown_op`.
 */
abstract class CoreException extends \RuntimeException
{
    final protected function __construct(public readonly ?string $field, public readonly Message $says)
    {
        parent::__construct($says->code.' '.json_encode($says->terms, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR));
    }

    abstract public function errorCode(): string;

    /** @return array{code: string, field: string|null, message: array{code: string, terms: object}} */
    final public function toArray(): array
    {
        return ['code' => $this->errorCode(), 'field' => $this->field, 'message' => $this->says->toArray()];
    }
}
