<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger;

use MillStep\Core\Assessment\Outcome;
use MillStep\Core\Competency\Familiarity;
use MillStep\Core\Competency\Record;
use MillStep\Core\Competency\Revocation;
use MillStep\Core\Competency\Signature;

/** What the lines read so far come to. Entries write it, one after the other; everybody else reads the Record. */
final class Fold
{
    /** @var array<string, int> the newest version completed, by lesson */
    public array $lessons = [];

    /** @var array<string, bool> */
    public array $checks = [];

    /** @var array<string, \DateTimeImmutable> when it was last passed, by check */
    public array $checksPassedAt = [];

    /** @var array<string, \DateTimeImmutable> when it was first passed, by check */
    public array $checksFirstPassedAt = [];

    /** @var array<string, string> what each sheet comes to */
    public array $assessments = [];

    /** @var array<string, array<string, string>> the latest outcome, by sheet and piece */
    public array $pieces = [];

    /** @var array<string, true> those passed */
    public array $rehearsals = [];

    /** @var array<string, Familiarity> the latest, by machine */
    public array $machines = [];

    /** When somebody first signed, whatever became of it. */
    public ?\DateTimeImmutable $firstSignedAt = null;

    /** @var list<Revocation> in their order */
    public array $revocations = [];

    public int $practiceCount = 0;

    public int $practiceMinutes = 0;

    public int $machineMinutes = 0;

    public ?int $acknowledged = null;

    public ?Signature $signature = null;

    public bool $suspended = false;

    public bool $revoked = false;

    public ?\DateTimeImmutable $lastAtMachine = null;

    /** Somebody who may run was at the machine then. */
    public function atMachine(\DateTimeImmutable $at): void
    {
        if ($this->lastAtMachine === null || $at > $this->lastAtMachine) {
            $this->lastAtMachine = $at;
        }
    }

    /**
     * A sheet is passed while one of its pieces is: whoever tries to widen what they may do, and does not pass, loses nothing. A stop is
     * about the person and not about the piece: it takes all of them back.
     */
    public function concluded(string $assessment, string $piece, Outcome $outcome): void
    {
        if ($outcome === Outcome::Stopped) {
            $this->pieces[$assessment] = [];
        }
        $this->pieces[$assessment][$piece] = $outcome->value;
        $passed = in_array(Outcome::Passed->value, $this->pieces[$assessment], true);
        $this->assessments[$assessment] = ($passed ? Outcome::Passed : $outcome)->value;
    }

    /** The latest counts: whoever was shown a machine anew knows what changed since. */
    public function knows(string $machine, Familiarity $familiarity): void
    {
        if (! isset($this->machines[$machine]) || $familiarity->at >= $this->machines[$machine]->at) {
            $this->machines[$machine] = $familiarity;
        }
    }

    /** The signature is taken back: from then on, until a new one. */
    public function revokedAt(\DateTimeImmutable $at): void
    {
        $this->revoked = true;
        $this->signature = null;
        $this->acknowledged = null;
        $this->revocations[] = new Revocation($at);
    }

    /** A new signature ends a revocation. */
    public function signedAt(Signature $signature): void
    {
        $this->signature = $signature;
        $this->revoked = false;
        $this->acknowledged = null;
        $this->firstSignedAt = min($this->firstSignedAt ?? $signature->at, $signature->at);
        $this->revocations = array_map(
            static fn (Revocation $one): Revocation => $one->endedAt === null ? new Revocation($one->at, $signature->at) : $one,
            $this->revocations,
        );
        $this->atMachine($signature->at);
    }

    public function record(): Record
    {
        return new Record(
            $this->lessons,
            $this->checks,
            $this->practiceCount,
            $this->practiceMinutes,
            $this->machineMinutes,
            $this->assessments,
            $this->acknowledged,
            $this->signature,
            $this->suspended,
            $this->revoked,
            $this->lastAtMachine,
            $this->checksPassedAt,
            $this->checksFirstPassedAt,
            $this->rehearsals,
            $this->firstSignedAt,
            $this->revocations,
            $this->machines,
        );
    }
}
