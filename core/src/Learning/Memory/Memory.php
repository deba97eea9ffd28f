<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Memory;

use MillStep\Core\Border\Result;

/** How long it holds, how hard it is, how likely it is known now, and when to ask again. */
final readonly class Memory extends Result
{
    /**
     * @param  float  $stabilityDays  days until nine of ten would still know it
     * @param  float  $difficulty  1 to 10
     * @param  float  $recall  0 to 1, at the moment asked about
     */
    public function __construct(
        public float $stabilityDays,
        public float $difficulty,
        public float $recall,
        public \DateTimeImmutable $dueAt,
        public bool $due,
    ) {
    }

    public function toArray(): array
    {
        return [
            'stability_days' => $this->stabilityDays,
            'difficulty' => $this->difficulty,
            'recall' => $this->recall,
            'due_at' => $this->dueAt->format('Y-m-d\TH:i:s\Z'),
            'due' => $this->due,
        ];
    }
}
