<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** What the learner says to the outcome of a sheet. */
final readonly class OutcomeAnswered implements Entry
{
    use ChangesNoStage;

    public const TEXTS = ['words'];

    public const SIGNED = true;

    private function __construct(public string $assessment, public string $attempt, public bool $agrees)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->text('assessment'),
            $fields->text('attempt'),
            $fields->flag('agrees', false),
        );
    }
}
