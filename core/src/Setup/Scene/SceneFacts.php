<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene;

use MillStep\Core\Border\Fields;
use MillStep\Core\Setup\Review;
use MillStep\Core\Setup\SetupReview;

/** All that is said of a set-up that is drawn: what the review goes by, and how it looks where it may look different ways. */
final readonly class SceneFacts
{
    /** @param  array<string, bool|int|float|string>  $facts  lengths in mm, forces in N, speeds in rpm, as in `setup_review` */
    public function __construct(private array $facts)
    {
    }

    public function flag(string $fact): bool
    {
        return ($this->facts[$fact] ?? null) === true;
    }

    public function text(string $fact): string
    {
        return (string) ($this->facts[$fact] ?? '');
    }

    public function number(string $fact): float
    {
        return (float) ($this->facts[$fact] ?? 0);
    }

    /** @param  array<string, bool|int|float|string>  $facts */
    public function with(array $facts): self
    {
        return new self([...$this->facts, ...$facts]);
    }

    /** @throws \MillStep\Core\Border\InvalidInput when a fact cannot be understood */
    public function review(): Review
    {
        return SetupReview::fromFields(Fields::of($this->facts))->compute();
    }
}
