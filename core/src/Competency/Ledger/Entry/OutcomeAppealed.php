<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** A learner wants another assessor to look at the outcome of a sheet. */
final readonly class OutcomeAppealed implements Entry
{
    use ChangesNoStage;

    public const TEXTS = ['words'];

    public const SIGNED = true;

    private function __construct(public string $assessment, public string $attempt)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->text('assessment'), $fields->text('attempt'));
    }
}
