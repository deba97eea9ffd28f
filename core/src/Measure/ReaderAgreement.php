<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** How far the learner's readings lie from the examiner's: on the whole, and from one to the next. */
final readonly class ReaderAgreement implements Operation
{
    /** @param  non-empty-list<float>  $differences learner less examiner, in millimetres */
    public function __construct(public array $differences)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $differences = array_map(
            static fn (Fields $pair): float => $pair->coordinate('learner_mm')->minus($pair->coordinate('examiner_mm'))->inMm(),
            $fields->objects('pairs', 1),
        );

        return new self($differences !== [] ? $differences : throw $fields->fault('pairs', 'input.empty'));
    }

    public function compute(): Agreement
    {
        $count = count($this->differences);
        $bias = array_sum($this->differences) / $count;
        $squares = array_sum(array_map(static fn (float $difference): float => ($difference - $bias) ** 2, $this->differences));

        return new Agreement(
            $count,
            Length::mm($bias),
            Length::mm($count === 1 ? 0 : sqrt($squares / ($count - 1))),
            Length::mm(array_sum(array_map(abs(...), $this->differences)) / $count),
        );
    }
}
