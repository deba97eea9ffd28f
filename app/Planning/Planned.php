<?php

declare(strict_types=1);

namespace App\Planning;

use MillStep\Core\Border\Message;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Layout\LayoutResult;
use MillStep\Core\Planning\Plan\PlanQuestions;
use MillStep\Core\Planning\Plan\PlanResult;
use MillStep\Core\Workshop\MachineSpec;

/** What a plan came to: the core's answer, its drawing, and what stands over it on paper. */
final readonly class Planned
{
    /**
     * @param  array<string, Message|string>  $heading  machine, cribs, material, what is made
     * @param  array<string, mixed>  $more  what only this kind has: bars for a class
     */
    public function __construct(
        public PlanKind $kind,
        public PlanResult|LayoutResult $result,
        public ?Drawing $drawing,
        public array $heading,
        public ?MachineSpec $machine = null,
        public array $more = [],
    ) {
    }

    /** Only sequences have figures to ask for. */
    public function questions(): ?PlanQuestions
    {
        return $this->result instanceof PlanResult && $this->machine !== null ? new PlanQuestions($this->result, $this->machine) : null;
    }

    /** @return array<string, mixed> what was planned as it crosses the JSON border, to be compared with another */
    public function compared(): array
    {
        /** @var array<string, mixed> */
        return json_decode(json_encode($this->result->toArray(), JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR);
    }

    /** @return array<string, mixed> */
    public function heading(): array
    {
        return array_map(
            static fn (Message|string $words): array|string => $words instanceof Message ? $words->toArray() : $words,
            $this->heading,
        );
    }

    /** @return array<string, mixed> as the API and the saved plan have it */
    public function toArray(): array
    {
        return [
            'heading' => $this->heading(),
            ($this->result instanceof PlanResult ? 'plan' : 'layout') => $this->result->toArray(),
            'drawing' => $this->drawing?->toArray(),
            ...$this->more,
        ];
    }
}
