<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Fields;

/** A drawn set-up with faults in it: every place where something has to be put right is wanted, and no other. */
final readonly class HazardsSeen extends Question
{
    public static function kind(): string
    {
        return 'hazard';
    }

    protected static function asked(Fields $fields): Asked
    {
        return HazardScene::fromFields($fields);
    }
}
