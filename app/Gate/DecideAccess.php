<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\Permit;
use App\Competency\PermitStanding;
use App\Competency\Standings;
use App\People\User;
use Illuminate\Support\Collection;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Access;
use MillStep\Core\Competency\AccessDecision;
use MillStep\Core\Competency\Decision;

/** Lays the facts of the moment before the core. Every reader, poll and event asks here; nobody decides anything else. */
final class DecideAccess
{
    public function __construct(private readonly Standings $standings)
    {
    }

    /**
     * @param  array<string, mixed>  $request  what the person said they would do
     */
    public function __invoke(Moment $moment, ?User $user, array $request, ?User $companion): Decided
    {
        $all = $user === null
            ? []
            : $this->standings->of(
                new Collection([$user]),
                Permit::ofMachine($moment->machine),
                rules: $moment->rules,
                read: $moment->records,
            )[$user->id];
        $further = array_filter($all, static fn (PermitStanding $standing): bool => $standing->permit->further);
        $standings = array_diff_key($all, $further);
        if ($user !== null && $standings === []) {
            // Nobody has said what this machine takes; the gate does not guess.
            return new Decided(new Access(Decision::No, ['no_permit_defined']), []);
        }
        $policy = $moment->policy;

        return new Decided(AccessDecision::fromFields(Fields::of([
            'now' => $moment->now->toIso8601ZuluString(),
            'badge_known' => $user !== null,
            'person_active' => $user !== null && $user->active,
            'machine' => ['in_service' => $moment->machine->in_service],
            'hours_open' => $policy->hours->openAt($moment->now),
            'permits' => array_values(array_map(self::held(...), $standings)),
            'further' => array_values(array_map(self::held(...), $further)),
            'request' => $request,
            'presence' => [
                'supervisor' => $user !== null && $moment->supervises($user),
                'companion' => $user !== null && $companion !== null && $companion->active && $companion->isNot($user),
            ],
            'turns_elsewhere' => $user === null ? 0 : $moment->turnsElsewhere($user),
            'policy' => [
                'supervised_from_stage' => $policy->supervisedFromStage,
                'companion_required' => $policy->companionRequired,
                'machines_at_once' => $policy->machinesAtOnce,
            ],
        ]))->compute(), $standings, $further);
    }

    /** @return array<string, mixed> a permit as this person holds it */
    private static function held(PermitStanding $standing): array
    {
        return [
            ...$standing->place->toArray(),
            'scope' => $standing->record->signature?->scope->toArray() ?? [],
            'about' => $standing->permit->scope,
            // Who is familiar with which machine is not recorded yet; what the core asks of it stands.
            'familiar' => true,
        ];
    }
}
