<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\NoCandidate;

/** The size of a hole, with the class of its limits where one was said beside it: `8 H7`, `8H7`, `3/8 H8`. */
final readonly class FittedSize
{
    private function __construct(public Size $size, public ?string $fit, public ?Limits $limits)
    {
    }

    /**
     * @param  'mm'|'in'  $defaultUnit
     *
     * @throws InvalidInput with field `text` when it is no size, or names the class of a shaft; with field `fit` for a class that
     *     is not known
     * @throws NoCandidate when the size lies beyond the table of limits
     */
    public static function parse(string $text, string $defaultUnit = 'mm'): self
    {
        $said = trim($text);
        if (preg_match('/^(.*[\d"a-z])\s*(?<![a-z])([a-z]{1,2}\d{1,2})$/i', $said, $m) === 1) {
            $fit = $m[2];
            $size = Size::parse($m[1], $defaultUnit);
            if (ctype_lower($fit[0])) {
                throw InvalidInput::at('text', 'measure.size.shaft_fit', [
                    'said' => Message::quote($said), 'fit' => $fit, 'hole' => ucfirst($fit),
                ]);
            }

            return new self($size, $fit, FitTable::limits($fit, $size->diameter));
        }

        return new self(Size::parse($said, $defaultUnit), null, null);
    }
}
