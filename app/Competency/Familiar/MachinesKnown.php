<?php

declare(strict_types=1);

namespace App\Competency\Familiar;

use App\Competency\Permit;
use App\Competency\PermitStanding;
use App\Competency\Standings;
use App\People\User;
use App\Policy\ShopNow;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use MillStep\Core\Competency\Familiarity;
use MillStep\Core\Competency\MachineChange;
use MillStep\Core\Competency\Stage;
use MillStep\Core\Workshop\MachineSpec;

/** Which machines somebody knows; what a gate, a record and a sign-off say about it. */
final class MachinesKnown
{
    public function __construct(private readonly Standings $standings, private readonly ShopNow $shop)
    {
    }

    /** Whoever is at a marking-out table need not know which one. */
    public static function isAsked(Machine $machine): bool
    {
        return $machine->kind !== MachineSpec::BENCH;
    }

    /** @return list<MachineChange> of what its record says, in their order */
    public static function changes(Machine $machine): array
    {
        return array_map(static fn (array $one): MachineChange => new MachineChange(
            $one['trait'], $one['from'], $one['to'], CarbonImmutable::parse($one['at']),
        ), $machine->trait_changes);
    }

    /**
     * Lines about a machine are about every permit, so that each record says the same; the latest of them all counts.
     *
     * @param  array<array-key, PermitStanding>  $standings  of one person
     */
    public static function familiarity(array $standings, string $machine): ?Familiarity
    {
        $latest = null;
        foreach ($standings as $standing) {
            $one = $standing->record->machines[$machine] ?? null;
            $latest = $one !== null && ($latest === null || $one->at > $latest->at) ? $one : $latest;
        }

        return $latest;
    }

    /**
     * Those that they know, and those that their permits open, or do once they are signed.
     *
     * @return list<KnownMachine>
     */
    public function of(User $person): array
    {
        $standings = $this->standings($person);

        return array_values(array_filter(
            $this->all($standings),
            static fn (KnownMachine $one): bool => $one->knows !== null || self::isNear($one->machine, $standings),
        ));
    }

    public function one(User $person, Machine $machine): KnownMachine
    {
        foreach ($this->all($this->standings($person)) as $one) {
            if ($one->machine->is($machine)) {
                return $one;
            }
        }

        return new KnownMachine($machine, null, null, 0, CarbonImmutable::now());
    }

    /** @return array<string, PermitStanding> by permit */
    private function standings(User $person): array
    {
        $permits = Permit::query()->with('statements')->orderBy('id')->get();

        return $this->standings->of(new Collection([$person]), $permits)[$person->id];
    }

    /**
     * @param  array<string, PermitStanding>  $standings
     * @return list<KnownMachine>
     */
    private function all(array $standings): array
    {
        $machines = Machine::query()->with('permits')->orderBy('id')->get()->filter(self::isAsked(...));
        $grace = $this->shop->policy()->familiarGraceDays;
        $now = CarbonImmutable::now();
        $knows = $machines->mapWithKeys(static fn (Machine $one): array => [$one->id => self::familiarity($standings, $one->slug)]);
        $known = $machines->filter(
            static fn (Machine $one): bool => $knows[$one->id]?->stands(self::changes($one), $grace, $now) === true,
        );

        return array_values($machines->map(static fn (Machine $one): KnownMachine => new KnownMachine(
            $one, $knows[$one->id], self::nearest($one, $known), $grace, $now,
        ))->all());
    }

    /** @param  Collection<int, Machine>  $known */
    private static function nearest(Machine $machine, Collection $known): ?Machine
    {
        $traits = $machine->traits();

        return $known->filter(static fn (Machine $one): bool => ! $one->is($machine)
            && MachineSpec::areAlike($one->kind, $machine->kind))
            ->sortBy(static fn (Machine $one): int => count($traits->differsFrom($one->traits())))->first();
    }

    /** @param  array<string, PermitStanding>  $standings */
    private static function isNear(Machine $machine, array $standings): bool
    {
        $needed = Permit::neededAt($machine);

        return $needed->isNotEmpty() && $needed->every(static fn (Permit $permit): bool => isset($standings[$permit->code])
            && $standings[$permit->code]->place->stage->value >= Stage::Drilled->value);
    }
}
