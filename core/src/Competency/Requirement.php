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
        );
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
