<?php

declare(strict_types=1);

namespace App\Gate;

use App\People\User;

/** Who is said to be there beside the learner. */
final readonly class Company
{
    /**
     * @param  bool  $companionUnknown  a companion's badge was read that nobody has
     * @param  int|null  $supervisor  who was said to watch
     */
    public function __construct(public ?User $companion = null, public bool $companionUnknown = false, public ?int $supervisor = null)
    {
    }

    public static function of(MachineSession $turn): self
    {
        return new self($turn->companion, false, $turn->supervisor_id);
    }
}
