<?php

declare(strict_types=1);

namespace App\Learning;

use App\Competency\Permit;
use App\Competency\PermitStanding;
use App\Competency\Standings;
use App\People\User;
use MillStep\Core\Competency\Stage;

/** Lessons that need power: they open once the safety check of a permit that asks for them is passed. */
final class GuidedLessons
{
    public function __construct(private readonly Standings $standings)
    {
    }

    public function openTo(User $learner, string $code): bool
    {
        $permits = Permit::query()->with('statements')->get()->filter(static fn (Permit $permit): bool => in_array(
            $code,
            $permit->requirement['guided'] ?? [],
            true,
        ));
        if ($permits->isEmpty()) {
            return true;
        }
        $standings = $this->standings->of(collect([$learner]), $permits->values())[$learner->id];

        return array_filter(
            $standings,
            static fn (PermitStanding $standing): bool => ! $standing->place->held
                && $standing->place->stage->value >= Stage::Punched->value,
        ) !== [];
    }
}
