<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Learning\Check\Question\DrawnQuestion;
use MillStep\Core\Learning\Check\Question\Question;
use MillStep\Core\Learning\Check\Question\QuestionKinds;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The questions of one safety check, and which of them make a paper. The same seed always draws the same paper, to the letter. */
final readonly class QuestionBank
{
    /** @param  list<Question>  $questions */
    private function __construct(private array $questions, private Wanted $wanted, private float $passMarkPercent)
    {
    }

    /**
     * `paper: {questions, least: {kind: count}}` makes balanced papers; `draw: {kind: count}` is how it was before.
     *
     * @throws InvalidInput naming the question that is at fault
     */
    public static function fromFields(Fields $fields): self
    {
        $questions = array_map(QuestionKinds::read(...), $fields->objects('questions', 1));
        foreach (array_count_values(array_map(static fn (Question $one): string => $one->id, $questions)) as $id => $times) {
            if ($times > 1) {
                throw $fields->fault('questions', 'learning.question_twice', ['id' => $id]);
            }
        }

        return new self(
            $questions,
            $fields->has('paper')
                ? self::balanced($fields->object('paper'))
                : new OfEachKind(self::counts($fields->object('draw'), ['one', 'order', 'worked'])),
            $fields->notNegative('pass_mark_percent'),
        );
    }

    /** @throws InvalidInput */
    private static function balanced(Fields $paper): Balanced
    {
        return new Balanced(
            $paper->integer('questions', 1, 60),
            self::counts($paper->objectOrEmpty('least'), QuestionKinds::names()),
        );
    }

    /**
     * @param  list<string>  $kinds
     * @return array<string, int>
     *
     * @throws InvalidInput
     */
    private static function counts(Fields $given, array $kinds): array
    {
        $counts = [];
        foreach ($kinds as $kind) {
            $counts[$kind] = $given->integer($kind, 0, 100, 0);
        }

        return $counts;
    }

    /** @throws InvalidInput when the bank has too few questions of a kind, or its paper has no room for what must be on it */
    public function draw(int $seed): Paper
    {
        return new Paper($this->wanted->draw($this->questions, new Randomizer(new Mt19937($seed))), $this->passMarkPercent);
    }

    /** One question alone, as a warm-up asks it. @throws InvalidInput when the bank has none of that id */
    public function question(string $id, int $seed): DrawnQuestion
    {
        foreach ($this->questions as $question) {
            if ($question->id === $id) {
                return $question->draw(new Randomizer(new Mt19937($seed)));
            }
        }
        throw InvalidInput::at('questions', 'learning.no_question', ['id' => $id]);
    }

    /** @return array<string, string> the lesson of each question */
    public function lessons(): array
    {
        return array_combine(
            array_map(static fn (Question $one): string => $one->id, $this->questions),
            array_map(static fn (Question $one): string => $one->lesson, $this->questions),
        );
    }
}
