<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Result;

final readonly class Access extends Result
{
    /**
     * @param  list<string>  $reasons  all of them, the first decisive; empty when alone
     * @param  list<string>  $asks  what must be said before anybody gets power: `companion`, or what the scope limits of
     *                              `material`, `thickness`, `operation`, `diameter`
     */
    public function __construct(public Decision $decision, public array $reasons, public array $asks = [])
    {
    }

    /** Whether more is given: alone before supervised before no. What is still to be said makes neither of two the better one. */
    public function isMoreThan(self $other): bool
    {
        return $this->decision->rank() > $other->decision->rank();
    }

    /** Power is for a decision that allows and leaves nothing to be asked. There is no other way to it. */
    public function givesPower(): bool
    {
        return $this->decision !== Decision::No && $this->asks === [];
    }

    /** A turn given as alone ends when only supervision would still be allowed: nobody has agreed to supervise it. */
    public function keepsPower(Decision $given): bool
    {
        return $this->givesPower() && ($this->decision === Decision::Alone || $this->decision === $given);
    }
}
