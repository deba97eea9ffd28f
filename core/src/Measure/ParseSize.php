<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Operation;

/** Reads a size as it is said in the shop. */
final readonly class ParseSize implements Operation
{
    /** @param  'mm'|'in'  $defaultUnit */
    public function __construct(public string $text, public string $defaultUnit = 'mm')
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self($fields->text('text'), $fields->choice('default_unit', ['mm', 'in'], 'mm'));
    }

    public function compute(): Size
    {
        return Size::parse($this->text, $this->defaultUnit);
    }
}
