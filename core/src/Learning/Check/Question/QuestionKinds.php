<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/** The only list of kinds of question. */
final class QuestionKinds
{
    /** @var list<class-string<Question>> */
    private const KINDS = [OneRight::class, SeveralRight::class, InOrder::class, HazardsSeen::class, WorkedOut::class];

    /** @return list<string> */
    public static function names(): array
    {
        return array_map(static fn (string $kind): string => $kind::kind(), self::KINDS);
    }

    /** @throws InvalidInput */
    public static function read(Fields $fields): Question
    {
        $at = array_search($fields->choice('kind', self::names()), self::names(), true);

        return self::KINDS[(int) $at]::fromFields($fields);
    }
}
