<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Fields;

/** Steps to be put into the order in which they are done. */
final readonly class InOrder extends Question
{
    public static function kind(): string
    {
        return 'order';
    }

    protected static function asked(Fields $fields): Asked
    {
        return Choices::steps($fields);
    }
}
