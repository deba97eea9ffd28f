<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Fields;

/** More than one of the options is right, and not all of them; all the right ones are wanted and no other. */
final readonly class SeveralRight extends Question
{
    public static function kind(): string
    {
        return 'several';
    }

    protected static function asked(Fields $fields): Asked
    {
        $options = Choices::options($fields);

        return $options->count() > 1 && $options->count() < $options->outOf()
            ? $options : throw $fields->fault('options', 'learning.several_right_answers');
    }
}
