<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/** What the ledger says of one learner and one permit at an instant, corrections applied. All that anybody reads of it. */
final readonly class Record
{
    /**
     * @param  array<string, int>  $lessons  the newest version completed, by lesson
     * @param  array<string, bool>  $checks  latest attempt passed or not, by check
     * @param  array<string, string>  $assessments  latest outcome, by assessment
     * @param  int|null  $acknowledged  the statement's version that the learner has acknowledged since the last signature
     * @param  Signature|null  $signature  the latest that has not been revoked
     * @param  array<string, \DateTimeImmutable>  $checksPassedAt  when a check was last passed, by check
     * @param  array<string, \DateTimeImmutable>  $checksFirstPassedAt  when a check was first passed, by check
     * @param  array<string, true>  $rehearsals  those passed
     * @param  \DateTimeImmutable|null  $firstSignedAt  whatever became of that signature
     * @param  list<Revocation>  $revocations  in their order
     * @param  array<string, Familiarity>  $machines  those that they know, by slug
     */
    public function __construct(
        public array $lessons,
        public array $checks,
        public int $practiceCount,
        public int $practiceMinutes,
        public int $machineMinutes,
        public array $assessments,
        public ?int $acknowledged,
        public ?Signature $signature,
        public bool $suspended,
        public bool $revoked,
        public ?\DateTimeImmutable $lastAtMachine,
        public array $checksPassedAt = [],
        public array $checksFirstPassedAt = [],
        public array $rehearsals = [],
        public ?\DateTimeImmutable $firstSignedAt = null,
        public array $revocations = [],
        public array $machines = [],
    ) {
    }

    /**
     * Whether this shop knew them for this permit before an instant: they had passed one of its checks or been signed, and did not
     * stand revoked then.
     *
     * @param  list<string>  $checks  of the permit, those asked now and earlier ones
     */
    public function knownBefore(\DateTimeImmutable $instant, array $checks): bool
    {
        $first = [$this->firstSignedAt, ...array_values(array_intersect_key($this->checksFirstPassedAt, array_flip($checks)))];
        $known = array_filter($first, static fn (?\DateTimeImmutable $at): bool => $at !== null && $at < $instant);

        return $known !== []
            && array_filter($this->revocations, static fn (Revocation $one): bool => $one->stoodAt($instant)) === [];
    }

    /** Whether the next signature follows one before: that one still stands, ran out, or was revoked. */
    public function renewing(): bool
    {
        return $this->signature !== null || $this->revoked;
    }

    public function held(): bool
    {
        return $this->suspended || $this->revoked;
    }
}
