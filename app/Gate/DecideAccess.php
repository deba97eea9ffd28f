<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\Familiar\MachinesKnown;
use App\Competency\Permit;
use App\Competency\PermitStanding;
use App\Competency\Standings;
use App\People\User;
use Illuminate\Support\Collection;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Access;
use MillStep\Core\Competency\AccessDecision;
use MillStep\Core\Competency\Decision;
use MillStep\Core\Competency\Stage;
use MillStep\Core\Gate\Companion;
use MillStep\Core\Gate\Supervision;

/** Lays the facts of the moment before the core. Every reader, poll and event asks here; nobody decides anything else. */
final class DecideAccess
{
    public function __construct(private readonly Standings $standings)
    {
    }

    /** @param  array<string, mixed>  $request  what the person said they would do */
    public function __invoke(Moment $moment, ?User $user, array $request, Company $company): Decided
    {
        if ($moment->clockBack) {
            // Who was there last, and what has run out, cannot be said by a clock that was put back.
            return new Decided(new Access(Decision::No, ['clock_set_back']), []);
        }
        $all = $user === null ? [] : $this->standing($moment, $user);
        $further = array_filter($all, static fn (PermitStanding $standing): bool => $standing->permit->further);
        $standings = array_diff_key($all, $further);
        if ($user !== null && $standings === []) {
            // Nobody has said what this machine takes; the gate does not guess.
            return new Decided(new Access(Decision::No, ['no_permit_defined']), []);
        }
        $policy = $moment->policy;
        $companion = $user === null ? null : $this->companion($moment, $user, $company);
        $supervision = $user === null ? null
            : Supervision::of($moment->onTheFloor(), $user->id, $policy->supervisedAtOnce, $company->supervisor);
        $elsewhere = $user === null ? null : $moment->elsewhere($user);
        $familiar = self::knows($all, $moment);
        $held = static fn (PermitStanding $standing): array => self::held($standing, $familiar);

        return new Decided(AccessDecision::fromFields(Fields::of([
            'now' => $moment->now->toIso8601ZuluString(),
            'badge_known' => $user !== null,
            'person_active' => $user !== null && $user->active,
            'machine' => ['in_service' => $moment->machine->in_service],
            'hours_open' => $policy->hours->openAt($moment->now),
            'record_sound' => array_filter($all, static fn (PermitStanding $standing): bool => ! $standing->sound) === [],
            'permits' => array_values(array_map($held, $standings)),
            'further' => array_values(array_map($held, $further)),
            'request' => $request,
            'presence' => [
                'supervisor' => $supervision?->isPossible() === true,
                'companion' => $companion !== null && $companion->refusal($policy->companionSchool) === null,
            ],
            // Whoever stands beside another machine is there, however many machines a person may have.
            'turns_elsewhere' => match (true) {
                $elsewhere === null => 0,
                $elsewhere['beside'] > 0 => max($elsewhere['runs'], $policy->machinesAtOnce),
                default => $elsewhere['runs'],
            },
            'policy' => [
                'supervised_from_stage' => $policy->supervisedFromStage,
                'companion_required' => $policy->companionRequired,
                'machines_at_once' => $policy->machinesAtOnce,
            ],
        ]))->compute(), $standings, $further, $supervision, $companion?->refusal($policy->companionSchool));
    }

    /** @return array<string, PermitStanding> by permit of the moment's machine */
    private function standing(Moment $moment, User $user): array
    {
        return $this->standings->of(
            new Collection([$user]),
            Permit::ofMachine($moment->machine),
            rules: $moment->rules,
            read: $moment->records,
            found: $moment->found,
        )[$user->id];
    }

    /** Whoever is said to be a companion, as the core judges them; null where nobody is. */
    private function companion(Moment $moment, User $holder, Company $company): ?Companion
    {
        $user = $company->companion;
        if ($user === null) {
            return $company->companionUnknown ? new Companion(false, false, false, false, false, false, false, 0, 0) : null;
        }
        $needed = array_filter(
            $this->standing($moment, $user),
            static fn (PermitStanding $standing): bool => ! $standing->permit->further,
        );
        $every = static fn (\Closure $test): bool => array_filter($needed, $test) === $needed;
        $elsewhere = $moment->elsewhere($user);

        return new Companion(
            true,
            $user->is($holder),
            $user->active,
            $user->teaches(),
            ! $every(static fn (PermitStanding $standing): bool => ! $standing->place->held),
            $every(static fn (PermitStanding $standing): bool => $standing->sound && $standing->checksPassed()),
            $every(static fn (PermitStanding $standing): bool => $standing->place->stage === Stage::Tapped
                && $standing->place->lapsed === null),
            $elsewhere['runs'],
            $elsewhere['beside'],
        );
    }

    /** @param  array<string, PermitStanding>  $standings */
    private static function knows(array $standings, Moment $moment): bool
    {
        return ! MachinesKnown::isAsked($moment->machine)
            || MachinesKnown::familiarity($standings, $moment->machine->slug)
                ?->stands(MachinesKnown::changes($moment->machine), $moment->policy->familiarGraceDays, $moment->now) === true;
    }

    /** @return array<string, mixed> a permit as this person holds it */
    private static function held(PermitStanding $standing, bool $familiar): array
    {
        return [
            ...$standing->place->toArray(),
            'scope' => $standing->record->signature?->scope->toArray() ?? [],
            'about' => $standing->permit->scope,
            'familiar' => $familiar,
        ];
    }
}
