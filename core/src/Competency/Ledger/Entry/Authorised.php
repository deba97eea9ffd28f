<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** Somebody may assess and sign for a permit from then on: until when, at which machines (all, where none is named), on what ground. */
final readonly class Authorised implements Entry
{
    use ChangesNoStage;

    public const TEXTS = ['ground'];

    public const SIGNED = true;

    /** @param  list<string>  $machines  by their short names */
    private function __construct(public ?\DateTimeImmutable $until, public array $machines)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->has('until') ? $fields->instant('until') : null,
            $fields->has('machines') ? $fields->texts('machines') : [],
        );
    }
}
