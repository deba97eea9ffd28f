<?php

declare(strict_types=1);

namespace App\Learning;

use App\Competency\Permit;
use App\Competency\PermitStanding;
use App\Competency\Rules;
use App\Competency\Standings;
use App\People\User;
use MillStep\Core\Competency\Stage;

/**
 * Lessons that need power: they open once the safety check of a permit that asks for them is passed, and of every permit
 * that it builds on. Before that the gate gives no power for them either.
 */
final class GuidedLessons
{
    public function __construct(private readonly Standings $standings)
    {
    }

    public function openTo(User $learner, string $code): bool
    {
        // Most lessons need no power, and are told from the others without the ledger.
        $asking = Permit::query()->whereJsonContains('requirement->guided', $code)->pluck('code');
        if ($asking->isEmpty()) {
            return true;
        }
        $rules = Rules::inForce();
        $standings = $this->standings->of(collect([$learner]), $rules->permits->values(), rules: $rules)[$learner->id];

        return $asking->contains(fn (string $permit): bool => $this->checked($permit, $standings, []));
    }

    /**
     * @param  array<string, PermitStanding>  $standings  by permit
     * @param  list<string>  $above  those that led here, so that a circle ends
     */
    private function checked(string $code, array $standings, array $above): bool
    {
        $standing = $standings[$code] ?? null;
        if ($standing === null || in_array($code, $above, true) || $standing->place->held
            || $standing->place->stage->value < Stage::Punched->value) {
            return false;
        }
        foreach ($standing->permit->requirement['prerequisites'] ?? [] as $below) {
            if (! $this->checked($below, $standings, [...$above, $code])) {
                return false;
            }
        }

        return true;
    }
}
