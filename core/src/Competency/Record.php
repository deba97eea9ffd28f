<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/** What the ledger says at an instant, corrections applied. */
final readonly class Record
{
    /**
     * @param  list<string>  $lessons  completed
     * @param  array<string, bool>  $checks  latest attempt passed or not, by check
     * @param  array<string, string>  $assessments  latest outcome, by assessment
     * @param  SignOff|null  $signOff  the latest that has not been revoked
     */
    public function __construct(
        public array $lessons,
        public array $checks,
        public int $practiceCount,
        public int $practiceMinutes,
        public array $assessments,
        public ?SignOff $signOff,
        public bool $held,
        public ?\DateTimeImmutable $lastAtMachine,
    ) {
    }
}
