<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Chip;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

/** What one sees or hears at a running drill, what it comes from, and what to do. */
final readonly class ChipSign extends Result
{
    private function __construct(public string $sign, public Message $sees, public Message $cause, public Message $remedy)
    {
    }

    /** @param  string|null  $remedy  where there is more than one way, by school or material */
    public static function of(string $sign, ?string $remedy = null): self
    {
        return new self(
            $sign,
            Message::of("planning.sign.$sign.sees"),
            Message::of("planning.sign.$sign.cause"),
            Message::of('planning.sign.'.$sign.'.'.($remedy ?? 'remedy')),
        );
    }
}
