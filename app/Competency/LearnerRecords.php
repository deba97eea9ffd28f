<?php

declare(strict_types=1);

namespace App\Competency;

use MillStep\Core\Competency\Record;

/** What was read of learners: the record of each and permit, and whose lines are not beyond doubt. */
final readonly class LearnerRecords
{
    /**
     * @param  array<int, array<int, Record>>  $records  by learner and permit
     * @param  array<int, true>  $unsound  by learner
     */
    public function __construct(private array $records, private array $unsound = [])
    {
    }

    /** @return array<int, Record> by permit */
    public function of(int $learner): array
    {
        return $this->records[$learner];
    }

    public function isSound(int $learner): bool
    {
        return ! isset($this->unsound[$learner]);
    }
}
