<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Chart;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;

/** What hangs on the wall: one table of this shop's own figures, with the schools that they follow. */
final readonly class Chart extends Result
{
    /**
     * @param  list<Message>  $notes  the schools and rules in force, and what a sign in the table means
     * @param  list<Message>  $legend  what is read as far away as the figures: which belt is which speed
     * @param  non-empty-list<Column>  $columns
     * @param  list<Line>  $lines
     */
    public function __construct(
        public ChartKind $kind,
        public Message $title,
        public array $notes,
        public array $legend,
        public array $columns,
        public array $lines,
    ) {
    }
}
