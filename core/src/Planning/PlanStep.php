<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Measure\Length;
use MillStep\Core\Result;

/** One operation of a plan. What an operation has not is left out of its JSON. */
final readonly class PlanStep extends Result
{
    /**
     * @param  list<Peck>  $pecks
     * @param  list<string>  $cautions  that stand before it
     * @param  string  $why  with the school or rule in force
     */
    public function __construct(
        public string $kind,
        public string $tool,
        public string $why,
        public array $cautions = [],
        public ?Length $diameter = null,
        public ?float $rpm = null,
        public ?float $feedMmRev = null,
        public ?Length $depth = null,
        public ?Length $totalDepth = null,
        public ?Length $reading = null,
        public array $pecks = [],
        public ?string $lubricant = null,
        public ?float $timeS = null,
        public ?int $dialDivisions = null,
        public ?SpeedWorking $speed = null,
    ) {
    }

    /** The same operation under another name. */
    public function as(string $kind): self
    {
        return new self($kind, $this->tool, $this->why, $this->cautions, $this->diameter, $this->rpm, $this->feedMmRev, $this->depth, $this->totalDepth,
            $this->reading, $this->pecks, $this->lubricant, $this->timeS, $this->dialDivisions, $this->speed);
    }

    public function toArray(): array
    {
        $all = parent::toArray();
        if ($this->pecks === []) {
            unset($all['pecks']);
        }

        return array_filter($all, static fn (mixed $value): bool => $value !== null);
    }
}
