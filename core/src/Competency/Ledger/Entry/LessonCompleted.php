<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Fold;
use MillStep\Core\Competency\Ledger\Line;

/** A learner has done every step of a lesson, in one of its versions. */
final readonly class LessonCompleted implements Entry
{
    private function __construct(public string $lesson, public int $version)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->text('lesson'), $fields->integer('version', 0, default: 1));
    }

    public function restricts(): bool
    {
        return false;
    }

    public function foldInto(Fold $fold, Line $line): void
    {
        $fold->lessons[$this->lesson] = max($this->version, $fold->lessons[$this->lesson] ?? 0);
    }
}
