<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\Message;
use MillStep\Core\Border\Result;
use MillStep\Core\Planning\Chip\ChipSign;
use MillStep\Core\Planning\Chip\ChipSigns;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Step\Job;
use MillStep\Core\Planning\Step\PlanStep;

/** A whole working sequence, or what it lacks. */
final readonly class PlanResult extends Result
{
    /**
     * @param  list<PlanStep>  $operations  in working order
     * @param  array<string, mixed>|null  $holding
     * @param  Figure|null  $holdingFigure  the working of its demand
     * @param  list<Message>  $warnings  worth knowing
     * @param  list<Message>  $missing  what keeps it from being done, with what would do instead
     * @param  list<array<string, mixed>>  $setups  of the powered operations, as the setup review reads them
     * @param  array<string, mixed>|null  $batch  of a lathe plan: move, depth, overhang, bar used
     * @param  list<ChipSign>  $signs  what chip and noise say while it runs
     */
    private function __construct(
        public array $operations,
        public ?array $holding,
        public ?Figure $holdingFigure,
        public array $warnings,
        public array $missing,
        public array $setups,
        public float $timeS,
        public bool $ready,
        public ?array $batch = null,
        public array $signs = [],
    ) {
    }

    /**
     * @param  self|null  $bore  another plan of which this one is made: its work is held in the same way
     * @param  array<string, mixed>|null  $batch
     */
    public static function of(Job $job, ?self $bore = null, ?array $batch = null): self
    {
        $missing = $job->lacks();

        return new self(
            $job->steps(),
            $job->holding?->toArray() ?? $bore?->holding,
            $job->holding->figure ?? $bore?->holdingFigure,
            $job->warnings(),
            $missing,
            $job->setups(),
            array_sum(array_map(static fn (PlanStep $step): float => ($step->timeS ?? 0.0) * ($step->repeat ?? 1), $job->steps())),
            $missing === [],
            $batch,
            ChipSigns::of($job->material, $job->policy),
        );
    }

    /** The first operation of a kind. */
    public function first(string $kind): ?PlanStep
    {
        foreach ($this->operations as $step) {
            if ($step->kind === $kind) {
                return $step;
            }
        }

        return null;
    }

    /** Only a batch has its figures. */
    public function toArray(): array
    {
        $all = parent::toArray();
        if ($this->batch === null) {
            unset($all['batch']);
        }

        return $all;
    }
}
