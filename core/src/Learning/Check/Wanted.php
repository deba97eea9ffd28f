<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Learning\Check\Question\DrawnQuestion;
use MillStep\Core\Learning\Check\Question\Question;
use Random\Randomizer;

/** Which questions of a bank make a paper. The same randomness always draws the same, in the same order. */
interface Wanted
{
    /**
     * @param  list<Question>  $questions
     * @return list<DrawnQuestion> every critical one among them
     *
     * @throws InvalidInput when the bank has too few
     */
    public function draw(array $questions, Randomizer $random): array;
}
