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
     * @param  list<string>  $rehearsals  jobs rehearsed without power, required for stage 3
     * @param  list<Later>|null  $later  what of all this is asked since a day only; null where nobody speaks of it
     * @param  list<string>  $earlierChecks  that were once asked: whoever passed one is known
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
        public array $rehearsals = [],
        public ?array $later = null,
        public array $earlierChecks = [],
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $requirement = new self(
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
            $fields->has('rehearsals') ? $fields->texts('rehearsals') : [],
            null,
            $fields->has('earlier_checks') ? $fields->texts('earlier_checks') : [],
        );

        return $fields->has('later') ? $requirement->withLater($fields) : $requirement;
    }

    /** @return list<string> what stands in the list of that kind */
    public function listed(NeedKind $kind): array
    {
        return match ($kind) {
            NeedKind::Lesson => $this->lessons,
            NeedKind::Check => $this->checks,
            NeedKind::Rehearsal => $this->rehearsals,
            NeedKind::Guided => $this->guided,
            NeedKind::Assessment => $this->assessments,
            NeedKind::Prerequisite => $this->prerequisites,
            default => [],
        };
    }

    /** @param  list<Later>  $spared  what is not asked now */
    public function without(array $spared): self
    {
        $left = fn (NeedKind $kind): array => array_values(array_filter(
            $this->listed($kind),
            static fn (string $what): bool => array_filter($spared, static fn (Later $one): bool => $one->is($kind, $what)) === [],
        ));

        return $spared === [] ? $this : new self(
            $left(NeedKind::Lesson), $left(NeedKind::Check), $this->practiceCount, $this->practiceMinutes, $left(NeedKind::Assessment),
            $left(NeedKind::Prerequisite), $this->recencyDays, $this->statementVersion, $this->statementGraceUntil,
            $left(NeedKind::Guided), $this->accepted, $this->renewalCheckDays, $left(NeedKind::Rehearsal), null, $this->earlierChecks,
        );
    }

    /** @throws InvalidInput when something is named twice, or stands in no list */
    private function withLater(Fields $fields): self
    {
        $later = [];
        foreach ($fields->objects('later') as $one) {
            $read = Later::fromFields($one);
            if (! in_array($read->what, $this->listed($read->kind), true)) {
                throw $one->fault('what', 'competency.later.in_no_list', ['what' => $read->what]);
            }
            if (isset($later[(string) $read->need()])) {
                throw $one->fault('what', 'competency.later.twice', ['what' => $read->what]);
            }
            $later[(string) $read->need()] = $read;
        }

        return new self(
            $this->lessons, $this->checks, $this->practiceCount, $this->practiceMinutes, $this->assessments, $this->prerequisites,
            $this->recencyDays, $this->statementVersion, $this->statementGraceUntil, $this->guided, $this->accepted,
            $this->renewalCheckDays, $this->rehearsals, array_values($later), $this->earlierChecks,
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
