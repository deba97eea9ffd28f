<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** A second pair of eyes has looked at a sheet: another who may assess, or somebody invited by a link (entered by who invited them). */
final readonly class SecondViewed implements Entry
{
    use ChangesNoStage;

    public const TEXTS = ['words'];

    private function __construct(public string $assessment, public string $attempt, public bool $agrees, public string $how)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->text('assessment'),
            $fields->text('attempt'),
            $fields->flag('agrees', false),
            $fields->choice('how', ['seat', 'link']),
        );
    }
}
