<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger\Entry;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Message;
use MillStep\Core\Competency\Ledger\ChangesNoStage;
use MillStep\Core\Competency\Ledger\Entry;

/** Somebody has been seen to find what has to be found in an emergency, at a place. */
final readonly class Shown implements Entry
{
    use ChangesNoStage;

    /** What there is to be found. */
    public const WHAT = ['stop', 'isolator', 'first_aid'];

    /** @param  list<string>  $what */
    private function __construct(public array $what, public string $place)
    {
    }

    /** @throws InvalidInput for what is none of them */
    public static function fromFields(Fields $fields): static
    {
        $what = $fields->texts('what');
        $unknown = array_values(array_diff($what, self::WHAT))[0] ?? null;
        if ($unknown !== null) {
            throw $fields->fault('what', 'input.none_of', ['choices' => self::WHAT, 'found' => Message::quote($unknown)]);
        }

        return new self($what, $fields->text('place'));
    }
}
