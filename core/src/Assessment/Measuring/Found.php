<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;
use MillStep\Core\Measure\Verdict;

/** What the readings of one measured criterion came to, and what follows from it. */
final readonly class Found extends Result
{
    /**
     * @param  Length|null  $value  the mean of the readings; null for a gauge that only says go or no-go
     * @param  Length|null  $spread  the largest reading less the smallest
     * @param  int  $again  how many more readings may be taken; 0 once it is decided
     * @param  bool  $savable  a part that is out can still be made good
     * @param  Message|null  $then  what is to be done with a part that is out
     */
    public function __construct(
        public Verdict $verdict,
        public Message $why,
        public int $readings,
        public int $again = 0,
        public ?Length $value = null,
        public ?Length $spread = null,
        public bool $savable = false,
        public ?Message $then = null,
    ) {
    }

    /**
     * By a gauge that goes or does not go, and gives no figure.
     *
     * @param  'plug'|'thread'  $gauge
     * @param  Side|null  $side  where the part is out; null where it is in
     * @param  array<string, float>  $terms  of the words
     */
    public static function byGoNoGo(string $gauge, Feature $feature, ?Side $side, int $readings, array $terms = []): self
    {
        return $side === null
            ? new self(Verdict::In, Message::of("assessment.found.{$gauge}_in", $terms), $readings)
            : new self(
                Verdict::Out,
                Message::of("assessment.found.{$gauge}_{$side->value}", $terms),
                $readings,
                savable: $feature->canBeSaved($side),
                then: Message::of($feature->whatThen($side)),
            );
    }

    public function toArray(): array
    {
        return [
            'verdict' => $this->verdict->value, 'why' => $this->why->toArray(), 'readings' => $this->readings, 'again' => $this->again,
            'value_mm' => $this->value?->inMm(), 'spread_mm' => $this->spread?->inMm(),
            'savable' => $this->savable, 'then' => $this->then?->toArray(),
        ];
    }
}
