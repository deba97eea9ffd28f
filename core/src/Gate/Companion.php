<?php

declare(strict_types=1);

namespace MillStep\Core\Gate;

use MillStep\Core\Policy\CompanionSchool;

/**
 * A second person at a machine, who is to know what an accident there looks like, and to see it: one who knows the machine's safety
 * check, has no other machine and stands beside nobody else.
 */
final readonly class Companion
{
    /**
     * @param  bool  $known  the badge is somebody's
     * @param  bool  $isHolder  they are whoever has the machine
     * @param  bool  $teaches  whoever teaches needs no check of their own
     * @param  bool  $held  a permit that the machine takes is held
     * @param  bool  $checked  passed the safety checks of every permit that the machine takes
     * @param  bool  $signed  may run it alone: signed on every permit that it takes, none lapsed
     * @param  int  $runs  how many machines they have themselves
     * @param  int  $beside  at how many other machines they are a companion
     */
    public function __construct(
        public bool $known,
        public bool $isHolder,
        public bool $active,
        public bool $teaches,
        public bool $held,
        public bool $checked,
        public bool $signed,
        public int $runs,
        public int $beside,
    ) {
    }

    /**
     * @return string|null why they do not do: `companion_unknown`, `companion_self`, `companion_inactive`, `companion_held`,
     *                     `companion_not_checked`, `companion_not_signed`, `companion_runs` or `companion_elsewhere`
     */
    public function refusal(CompanionSchool $school): ?string
    {
        return match (true) {
            ! $this->known => 'companion_unknown',
            $this->isHolder => 'companion_self',
            ! $this->active => 'companion_inactive',
            $this->held => 'companion_held',
            ! $this->teaches && ! $this->checked => 'companion_not_checked',
            ! $this->teaches && $school === CompanionSchool::Signed && ! $this->signed => 'companion_not_signed',
            $this->runs > 0 => 'companion_runs',
            $this->beside > 0 => 'companion_elsewhere',
            default => null,
        };
    }
}
