<?php

declare(strict_types=1);

namespace App\Competency\Familiar;

use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use MillStep\Core\Competency\Familiarity;
use MillStep\Core\Workshop\MachineTrait;

/** One machine and one person: whether they know it, and what they would be shown. */
final readonly class KnownMachine
{
    /** @param  Machine|null  $from  the machine that they know and that differs least from it */
    public function __construct(
        public Machine $machine,
        public ?Familiarity $knows,
        private ?Machine $from,
        private int $graceDays,
        private CarbonImmutable $now,
    ) {
    }

    public function stands(): bool
    {
        return $this->knows?->stands(MachinesKnown::changes($this->machine), $this->graceDays, $this->now) === true;
    }

    /** @return list<MachineTrait> what somebody must show them here */
    public function toShow(): array
    {
        return $this->machine->traits()->toShow($this->from?->traits());
    }

    /** @return array{machine: string, from?: string, differs: list<string>} as the ledger has it */
    public function said(): array
    {
        return [
            'machine' => $this->machine->slug,
            ...$this->from === null ? [] : ['from' => $this->from->slug],
            'differs' => array_column($this->machine->traits()->differsFrom($this->from?->traits()), 'value'),
        ];
    }

    /** @return array<string, mixed> */
    public function shown(): array
    {
        $here = $this->machine->traits();
        $there = $this->from?->traits();
        $differs = $here->differsFrom($there);
        $until = $this->knows?->until(MachinesKnown::changes($this->machine), $this->graceDays);

        return [
            'machine' => $this->machine->slug,
            'name' => $this->machine->name,
            'knows' => $this->knows === null ? null : [
                'because' => $this->knows->because,
                'since' => CarbonImmutable::instance($this->knows->at)->toIso8601ZuluString(),
                'stands' => $this->stands(),
                'until' => $until === null ? null : CarbonImmutable::instance($until)->toIso8601ZuluString(),
                'changed' => array_keys($this->knows->changed(MachinesKnown::changes($this->machine))),
            ],
            'from' => $this->from?->name,
            'to_show' => array_map(static fn (MachineTrait $trait): array => [
                'trait' => $trait->value,
                'differs' => in_array($trait, $differs, true),
                'here' => $trait === MachineTrait::Scale ? null : $here->says($trait),
                'there' => $trait === MachineTrait::Scale ? null : $there?->says($trait),
            ], $this->toShow()),
        ];
    }
}
