<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Result;

final readonly class LadderPlace extends Result
{
    /**
     * @param  list<Need>  $next  what the next stage still needs
     * @param  list<Need>|null  $due  what is asked later and still spared, in the order in which it was put in force; null where
     *     nothing is asked later
     */
    public function __construct(
        public Stage $stage,
        public bool $held,
        public ?Lapse $lapsed,
        public array $next,
        public ?array $due = null,
    ) {
    }

    /**
     * For whoever shows it: each need with its parts.
     *
     * @return array{stage: int, held: bool, lapsed: string|null, next: list<array{kind: string, what?: string, count?: int,
     *     from?: string, until?: string}>, due: list<array{kind: string, what?: string, count?: int, from?: string, until?: string}>}
     */
    public function shown(): array
    {
        $parts = static fn (Need $need): array => $need->toArray();

        return [
            'stage' => $this->stage->value, 'held' => $this->held, 'lapsed' => $this->lapsed?->value,
            'next' => array_map($parts, $this->next), 'due' => array_map($parts, $this->due ?? []),
        ];
    }

    /** Each need as one word; `due` only where something is asked later. */
    public function toArray(): array
    {
        $words = ['next' => array_map(strval(...), $this->next)];

        return [
            ...array_diff_key(parent::toArray(), ['due' => 0]), ...$words,
            ...($this->due === null ? [] : ['due' => array_map(strval(...), $this->due)]),
        ];
    }
}
