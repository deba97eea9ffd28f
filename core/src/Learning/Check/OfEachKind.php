<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Learning\Check\Question\DrawnQuestion;
use MillStep\Core\Learning\Check\Question\Question;
use Random\Randomizer;

/** All critical questions, and of each kind so many others. Papers of earlier versions were drawn so and are shown so. */
final readonly class OfEachKind implements Wanted
{
    /** @param  array<string, int>  $counts  by kind, of those that are not critical */
    public function __construct(private array $counts)
    {
    }

    public function draw(array $questions, Randomizer $random): array
    {
        $draw = static fn (Question $one): DrawnQuestion => $one->draw($random);
        $drawn = array_map($draw, $random->shuffleArray(array_values(array_filter(
            $questions,
            static fn (Question $one): bool => $one->critical,
        ))));
        foreach ($this->counts as $kind => $count) {
            $candidates = array_values(array_filter(
                $questions,
                static fn (Question $one): bool => ! $one->critical && $one::kind() === $kind,
            ));
            if (count($candidates) < $count) {
                throw InvalidInput::at(
                    'questions',
                    'learning.too_few_questions',
                    ['pile' => $kind, 'wanted' => $count, 'found' => count($candidates)],
                );
            }
            array_push($drawn, ...array_map($draw, array_slice($random->shuffleArray($candidates), 0, $count)));
        }

        return $drawn;
    }
}
