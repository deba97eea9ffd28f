<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Fields;

/** One of the options is right. */
final readonly class OneRight extends Question
{
    public static function kind(): string
    {
        return 'one';
    }

    protected static function asked(Fields $fields): Asked
    {
        $options = Choices::options($fields);

        return $options->count() === 1 ? $options : throw $fields->fault('options', 'learning.one_right_answer');
    }
}
