<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Chart;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

final readonly class Line extends Result
{
    /** Where there is nothing that one could take. */
    public const NONE = '—';

    /**
     * @param  list<Message|string>  $cells  one for each column
     * @param  bool  $strong  the tool for it lies in the crib
     */
    private function __construct(public array $cells, public bool $strong)
    {
    }

    public static function of(Message|string ...$cells): self
    {
        return new self(array_values($cells), false);
    }

    public function strongIf(bool $atHand): self
    {
        return new self($this->cells, $atHand);
    }
}
