<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/**
 * What a sheet asks for beside its pass mark, so that nobody passes by measuring alone. Each is absent where the sheet says nothing;
 * whether any of them is given decides whether the answer speaks of them.
 */
final readonly class Gates
{
    /**
     * @param  float|null  $observedPassPercent  of the watched and judged lines alone
     * @param  int|null  $promptLimit  from so many lines of safety on at which somebody had to speak, it is not yet
     * @param  int|null  $whyLimit  from so many reasons on that were not known
     */
    private function __construct(
        public ?float $observedPassPercent,
        public ?int $promptLimit,
        public ?int $whyLimit,
        public bool $given,
    ) {
    }

    /**
     * @param  list<Criterion>  $criteria
     *
     * @throws InvalidInput
     */
    public static function fromFields(Fields $fields, array $criteria): self
    {
        $percent = $fields->has('observed_pass_percent') ? $fields->notNegative('observed_pass_percent') : null;
        if ($percent !== null && $percent > 100) {
            throw $fields->fault('observed_pass_percent', 'input.not_from_to', ['least' => 0, 'most' => 100, 'found' => $percent]);
        }
        if ($percent !== null && array_filter($criteria, static fn (Criterion $one): bool => $one->isSeen()) === []) {
            throw $fields->fault('observed_pass_percent', 'assessment.nothing_observed');
        }
        $prompts = $fields->has('prompt_limit') ? $fields->integer('prompt_limit', 1) : null;
        $why = $fields->has('why_limit') ? $fields->integer('why_limit', 1) : null;
        $must = array_filter($fields->objects('criteria', 1), static fn (Fields $one): bool => $one->has('must')) !== [];

        return new self($percent, $prompts, $why, $percent !== null || $prompts !== null || $why !== null || $must);
    }

    /**
     * Those that hold somebody back.
     *
     * @param  list<Criterion>  $criteria
     * @param  float|null  $observed  percent of the watched and judged lines, to one decimal; null where there is none
     * @return list<'observed'|'must'|'prompts'|'why'>
     */
    public function holdingBack(array $criteria, ?float $observed): array
    {
        $count = static fn (callable $is): int => count(array_filter($criteria, $is));

        return array_keys(array_filter([
            'observed' => $this->observedPassPercent !== null && $observed !== null && $observed < $this->observedPassPercent,
            'must' => $count(static fn (Criterion $one): bool => $one->lacksWhatItMust()) > 0,
            'prompts' => $this->promptLimit !== null
                && $count(static fn (Criterion $one): bool => $one->neededWords()) >= $this->promptLimit,
            'why' => $this->whyLimit !== null && $count(static fn (Criterion $one): bool => $one->knewNotWhy()) >= $this->whyLimit,
        ]));
    }
}
