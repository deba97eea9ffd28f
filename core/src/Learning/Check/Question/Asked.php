<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use Random\Randomizer;

/** What a question asks for, before it is drawn. */
interface Asked
{
    /** @throws \MillStep\Core\Border\CoreException when the bank's values make no sense to the core */
    public function draw(Randomizer $random): AnswerKey;
}
