<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Message;

/** What is laid before the learner, and what is right of it. */
interface AnswerKey
{
    /**
     * @param  list<string>  $answer  ids that were chosen, in the order given; or the figure as typed
     * @param  'mm'|'in'  $units  of a length that names none
     */
    public function accepts(array $answer, string $units): bool;

    /** @return list<string> the ids of a right answer; one number, in its unit, for a figure */
    public function right(): array;

    /** @return array<string, mixed> what the learner sees of it, without what is right */
    public function shown(): array;

    /** Right in words; placeholders stand for the drawn values. */
    public function inWords(): string|Message;

    /**
     * What is said to what was chosen and is wrong.
     *
     * @param  list<string>  $answer
     * @return list<string>
     */
    public function replies(array $answer): array;
}
