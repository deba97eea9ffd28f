<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/** That somebody knows one machine: since when, and because of what. */
final readonly class Familiarity
{
    /** The machine of a passed sheet; one that was used before this was asked; an instructor's entry of two minutes. */
    public const BECAUSE = ['sheet', 'used_before', 'entry'];

    /** @param  value-of<self::BECAUSE>  $because */
    public function __construct(public \DateTimeImmutable $at, public string $because)
    {
    }

    /**
     * What is not as they were shown it. A record that says for the first time what was always so has not changed, nor has one that is
     * put back to what it said then.
     *
     * @param  list<MachineChange>  $changes  of the machine, in their order
     * @return array<string, \DateTimeImmutable> since when, by trait
     */
    public function changed(array $changes): array
    {
        $knew = $now = $since = [];
        foreach ($changes as $change) {
            $trait = $change->trait;
            if ($change->at > $this->at) {
                if ($change->from !== null) {
                    $knew[$trait] ??= $change->from;
                }
                if ($change->to !== null && isset($knew[$trait])) {
                    $now[$trait] = $change->to;
                    // Who does not know the first change does not know the second either.
                    $since[$trait] ??= $change->at;
                }
            }
        }

        return array_filter(
            $since,
            static fn (string $trait): bool => ($now[$trait] ?? null) !== ($knew[$trait] ?? null),
            ARRAY_FILTER_USE_KEY,
        );
    }

    /**
     * When it ends; null while the machine is as they were shown it.
     *
     * @param  list<MachineChange>  $changes
     */
    public function until(array $changes, int $graceDays): ?\DateTimeImmutable
    {
        $changed = $this->changed($changes);

        return $changed === [] ? null : min($changed)->add(new \DateInterval("P{$graceDays}D"));
    }

    /** @param  list<MachineChange>  $changes */
    public function stands(array $changes, int $graceDays, \DateTimeImmutable $now): bool
    {
        $until = $this->until($changes, $graceDays);

        return $this->at <= $now && ($until === null || $now < $until);
    }
}
