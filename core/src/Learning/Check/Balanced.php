<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Learning\Check\Question\DrawnQuestion;
use MillStep\Core\Learning\Check\Question\Question;
use Random\Randomizer;

/**
 * So many questions in all: every critical one, each lesson asked about, of each kind at least so many, and the rest from
 * the lessons that were asked about least. Shuffled at the end, so that critical ones do not stand together.
 */
final readonly class Balanced implements Wanted
{
    /** @param  array<string, int>  $least  by kind, critical ones among them */
    public function __construct(private int $total, private array $least)
    {
    }

    public function draw(array $questions, Randomizer $random): array
    {
        $this->checkRoom($questions);
        $left = $random->shuffleArray($questions);
        $picked = array_values(array_filter($left, static fn (Question $one): bool => $one->critical));
        $left = array_values(array_filter($left, static fn (Question $one): bool => ! $one->critical));
        foreach (array_unique(array_map(static fn (Question $one): string => $one->lesson, $left)) as $lesson) {
            if (self::about($picked, $lesson) === 0) {
                self::take($left, $picked, static fn (Question $one): bool => $one->lesson === $lesson);
            }
        }
        foreach ($this->least as $kind => $count) {
            while (count(array_filter($picked, static fn (Question $one): bool => $one::kind() === $kind)) < $count) {
                self::take($left, $picked, static fn (Question $one): bool => $one::kind() === $kind)
                    || throw self::tooFew($kind, $count, $questions);
            }
        }
        while (count($picked) < $this->total) {
            self::take($left, $picked, static fn (): bool => true)
                || throw InvalidInput::at('paper', 'learning.paper_too_long', ['wanted' => $this->total, 'found' => count($questions)]);
        }

        return array_map(
            static fn (Question $one): DrawnQuestion => $one->draw($random),
            $random->shuffleArray($picked),
        );
    }

    /**
     * What must be on the paper in the worst draw: nothing may depend on the seed whether there is room for it.
     *
     * @param  list<Question>  $questions
     *
     * @throws InvalidInput
     */
    private function checkRoom(array $questions): void
    {
        $critical = array_values(array_filter($questions, static fn (Question $one): bool => $one->critical));
        $lessons = array_unique(array_map(static fn (Question $one): string => $one->lesson, $questions));
        $room = count($critical)
            + count(array_filter($lessons, static fn (string $lesson): bool => self::about($critical, $lesson) === 0));
        foreach ($this->least as $kind => $count) {
            $room += max(0, $count - count(array_filter($critical, static fn (Question $one): bool => $one::kind() === $kind)));
        }
        if ($room > $this->total) {
            throw InvalidInput::at('paper', 'learning.paper_too_short', ['wanted' => $room, 'found' => $this->total]);
        }
    }

    /**
     * The first that will do, of the lesson that was asked about least.
     *
     * @param  list<Question>  $left
     * @param  list<Question>  $picked
     * @param  callable(Question): bool  $does
     */
    private static function take(array &$left, array &$picked, callable $does): bool
    {
        $best = null;
        foreach ($left as $at => $one) {
            if ($does($one) && ($best === null || self::about($picked, $one->lesson) < self::about($picked, $left[$best]->lesson))) {
                $best = $at;
            }
        }
        if ($best === null) {
            return false;
        }
        $picked[] = $left[$best];
        array_splice($left, $best, 1);

        return true;
    }

    /** @param  list<Question>  $picked */
    private static function about(array $picked, string $lesson): int
    {
        return count(array_filter($picked, static fn (Question $one): bool => $one->lesson === $lesson));
    }

    /** @param  list<Question>  $questions */
    private static function tooFew(string $kind, int $wanted, array $questions): InvalidInput
    {
        return InvalidInput::at('questions', 'learning.too_few_questions', [
            'pile' => $kind,
            'wanted' => $wanted,
            'found' => count(array_filter($questions, static fn (Question $one): bool => $one::kind() === $kind)),
        ]);
    }
}
