<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Memory;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Operation;

/**
 * How well something is still remembered, from every time that it was asked. The published model FSRS 4.5 with two grades
 * (right 3, wrong 1) and its default weights: a teaching estimate that says when to ask again, never a verdict on a person.
 */
final readonly class MemoryState implements Operation
{
    private const W = [
        0.5701, 1.4436, 4.1386, 10.9355, 5.1443, 1.2006, 0.8627, 0.0362, 1.629, 0.1342, 1.0166, 2.1174, 0.0839, 0.3204, 1.4676,
    ];

    private const DECAY = -0.5;

    private const FACTOR = 19 / 81;

    private const DAY_SECONDS = 86_400.0;

    /** Wrong a thousand times in a minute would come to nothing, and nothing divides by nothing. */
    private const LEAST_DAYS = 1e-9;

    /** @param  list<Review>  $reviews  in any order */
    public function __construct(private array $reviews, private \DateTimeImmutable $now, private float $targetRecall = 0.9)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            array_map(
                static fn (Fields $review): Review => new Review($review->instant('at'), $review->flag('right')),
                $fields->objects('reviews'),
            ),
            $fields->instant('now'),
            $fields->between('target_recall', 0, 1, 0.9),
        );
    }

    /** @throws InvalidInput `reviews` when none was made up to now */
    public function compute(): Memory
    {
        $until = array_values(array_filter($this->reviews, fn (Review $review): bool => $review->at <= $this->now));
        if ($until === []) {
            throw InvalidInput::at('reviews', 'learning.no_reviews');
        }
        // A stable sort: those of the same instant stay as they were given.
        usort($until, static fn (Review $one, Review $other): int => $one->at <=> $other->at);
        $stability = $difficulty = 0.0;
        $last = null;
        foreach ($until as $review) {
            $grade = $review->right ? 3 : 1;
            if ($last === null) {
                $stability = self::W[$grade - 1];
                $difficulty = self::inside(self::W[4] - ($grade - 3) * self::W[5]);
            } else {
                $recall = self::recall(self::days($last, $review->at), $stability);
                $stability = $review->right
                    ? self::strengthened($stability, $difficulty, $recall)
                    : self::lapsed($stability, $difficulty, $recall);
                $difficulty = self::inside(
                    self::W[7] * self::W[4] + (1 - self::W[7]) * ($difficulty - self::W[6] * ($grade - 3)),
                );
            }
            $last = $review->at;
        }
        $wait = $stability / self::FACTOR * ($this->targetRecall ** (1 / self::DECAY) - 1);
        $dueAt = self::later($last, $wait * self::DAY_SECONDS);

        return new Memory(
            $stability,
            $difficulty,
            self::recall(self::days($last, $this->now), $stability),
            $dueAt,
            $this->now >= $dueAt,
        );
    }

    private static function recall(float $days, float $stability): float
    {
        return (1 + self::FACTOR * $days / $stability) ** self::DECAY;
    }

    private static function strengthened(float $stability, float $difficulty, float $recall): float
    {
        return $stability * (1 + exp(self::W[8]) * (11 - $difficulty) * $stability ** -self::W[9]
            * (exp(self::W[10] * (1 - $recall)) - 1));
    }

    private static function lapsed(float $stability, float $difficulty, float $recall): float
    {
        return max(self::LEAST_DAYS, min($stability, self::W[11] * $difficulty ** -self::W[12] * (($stability + 1) ** self::W[13] - 1)
            * exp(self::W[14] * (1 - $recall))));
    }

    private static function inside(float $difficulty): float
    {
        return max(1.0, min(10.0, $difficulty));
    }

    private static function days(\DateTimeImmutable $from, \DateTimeImmutable $to): float
    {
        return ((float) $to->format('U.u') - (float) $from->format('U.u')) / self::DAY_SECONDS;
    }

    /** Down to the whole second, in UTC. What is further off than a clock can say is the last day that it can. */
    private static function later(\DateTimeImmutable $from, float $seconds): \DateTimeImmutable
    {
        $at = (int) floor(min((float) $from->format('U.u') + $seconds, 253_402_300_799.0));

        return (new \DateTimeImmutable("@$at"))->setTimezone(new \DateTimeZone('UTC'));
    }
}
