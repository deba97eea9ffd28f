<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Chart;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

final readonly class Column extends Result
{
    private function __construct(public Message|string $heading, public bool $words)
    {
    }

    /** Of figures and short names, set large. */
    public static function figures(Message|string $heading): self
    {
        return new self($heading, false);
    }

    /** Of words, which may run over several lines. */
    public static function words(Message|string $heading): self
    {
        return new self($heading, true);
    }
}
