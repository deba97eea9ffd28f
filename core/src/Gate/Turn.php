<?php

declare(strict_types=1);

namespace MillStep\Core\Gate;

use MillStep\Core\Competency\Access;
use MillStep\Core\Competency\Decision;

/** An open turn, decided anew: it goes on while as much is allowed as was given, and while somebody shows that they are there. */
final readonly class Turn
{
    /** @param  \DateTimeImmutable  $confirmedAt  when the person last held their badge to the reader */
    public function __construct(
        public Decision $given,
        public \DateTimeImmutable $startedAt,
        public \DateTimeImmutable $confirmedAt,
        public int $idleMinutes,
    ) {
    }

    public function idleAt(): \DateTimeImmutable
    {
        return $this->confirmedAt->modify("+{$this->idleMinutes} minutes");
    }

    public function isAbandoned(\DateTimeImmutable $now): bool
    {
        return $now >= $this->idleAt();
    }

    public function goesOn(Access $access, \DateTimeImmutable $now): bool
    {
        return ! $this->isAbandoned($now) && $access->keepsPower($this->given);
    }

    /** Whole minutes that may be written down: no more than to the idle limit, and never less than none. */
    public function minutes(\DateTimeImmutable $end): int
    {
        $until = min($end, $this->idleAt());

        return max(0, intdiv($until->getTimestamp() - $this->startedAt->getTimestamp(), 60));
    }
}
