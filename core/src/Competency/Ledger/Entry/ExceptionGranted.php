<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Assessment\ExceptionKind;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** A learner may try a sheet once before supervised practice here, and why; somebody else than who granted it assesses. */
final readonly class ExceptionGranted implements Entry
{
    use ChangesNoStage;

    public const TEXTS = ['words'];

    public const SIGNED = true;

    private function __construct(public string $assessment, public ExceptionKind $kind)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->text('assessment'),
            ExceptionKind::from($fields->choice('kind', array_column(ExceptionKind::cases(), 'value'))),
        );
    }
}
