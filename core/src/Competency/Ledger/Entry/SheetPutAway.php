<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Assessment\PutAwayBecause;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** A sheet was put away before it came to anything: a try where it has a mark, and no outcome. */
final readonly class SheetPutAway implements Entry
{
    use ChangesNoStage;

    public const TEXTS = ['words'];

    private function __construct(public string $assessment, public string $attempt, public PutAwayBecause $because, public int $marks)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->text('assessment'),
            $fields->text('attempt'),
            PutAwayBecause::from($fields->choice('because', array_column(PutAwayBecause::cases(), 'value'))),
            $fields->integer('marks', 0),
        );
    }
}
