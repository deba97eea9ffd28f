<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** A safety check was handed in; the latest counts. */
final readonly class CheckAttempted implements Entry
{
    private function __construct(public string $check, public bool $passed)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->text('check'), $fields->flag('passed'));
    }

    public function restricts(): bool
    {
        return ! $this->passed;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        $fold->checks[$this->check] = $this->passed;
        if ($this->passed) {
            $fold->checksPassedAt[$this->check] = max($fold->checksPassedAt[$this->check] ?? $line->at, $line->at);
            $fold->checksFirstPassedAt[$this->check] = min($fold->checksFirstPassedAt[$this->check] ?? $line->at, $line->at);
        }
    }
}
