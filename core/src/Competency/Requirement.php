<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/** What a permit asks for. */
final readonly class Requirement
{
    /**
     * @param  list<string>  $lessons
     * @param  list<string>  $checks
     * @param  list<string>  $assessments
     * @param  list<string>  $prerequisites  permits that this one builds on
     * @param  list<string>  $guided  lessons that need power: open from stage 2 under an instructor's eyes, required for stage 3
     * @param  int|null  $renewalCheckDays  a signature that follows another wants the checks passed within so many days before it
     * @param  array<string, int>  $accepted  the oldest version of a lesson that still counts, by lesson; any where not named
     */
    public function __construct(
        public array $lessons,
        public array $checks,
        public int $practiceCount,
        public int $practiceMinutes,
        public array $assessments,
        public array $prerequisites,
        public ?int $recencyDays,
        public int $statementVersion,
        public ?\DateTimeImmutable $statementGraceUntil,
        public array $guided = [],
        public array $accepted = [],
        public ?int $renewalCheckDays = null,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->texts('lessons'),
            $fields->texts('checks'),
            $fields->integer('practice_count', 0),
            $fields->integer('practice_minutes', 0),
            $fields->texts('assessments'),
            $fields->has('prerequisites') ? $fields->texts('prerequisites') : [],
            $fields->has('recency_days') ? $fields->integer('recency_days', 1) : null,
            $fields->integer('statement_version', 0),
            $fields->has('statement_grace_until') ? $fields->instant('statement_grace_until') : null,
            $fields->has('guided') ? $fields->texts('guided') : [],
            self::versions($fields->objectOrEmpty('accepted_versions')),
            $fields->has('renewal_check_days') ? $fields->integer('renewal_check_days', 1) : null,
        );
    }

    /** @return list<string> checks that have to be passed once more before this permit is signed again */
    public function staleChecks(Record $record, \DateTimeImmutable $now): array
    {
        if ($this->renewalCheckDays === null || ! $record->renewing()) {
            return [];
        }
        $since = $now->modify("-$this->renewalCheckDays days");

        return array_values(array_filter(
            $this->checks,
            static fn (string $check): bool => ! isset($record->checksPassedAt[$check]) || $record->checksPassedAt[$check] < $since,
        ));
    }

    /**
     * @return array<string, int>
     *
     * @throws InvalidInput
     */
    private static function versions(Fields $fields): array
    {
        $versions = [];
        foreach ($fields->keys() as $lesson) {
            $versions[$lesson] = $fields->integer($lesson, 0);
        }

        return $versions;
    }
}
