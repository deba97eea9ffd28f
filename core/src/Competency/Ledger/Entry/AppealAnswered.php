<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Assessment\AppealAnswer;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** Another assessor has looked at it: the outcome stands, or the sheet may be tried again at once. */
final readonly class AppealAnswered implements Entry
{
    use ChangesNoStage;

    public const TEXTS = ['words'];

    public const SIGNED = true;

    private function __construct(public string $assessment, public string $attempt, public AppealAnswer $answer)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->text('assessment'),
            $fields->text('attempt'),
            AppealAnswer::from($fields->choice('answer', array_column(AppealAnswer::cases(), 'value'))),
        );
    }
}
