<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Fields;

/** A figure to be worked out, from values that are drawn. */
final readonly class WorkedOut extends Question
{
    public static function kind(): string
    {
        return 'worked';
    }

    protected static function asked(Fields $fields): Asked
    {
        return WorkedFigure::fromFields($fields->object('figure'));
    }
}
