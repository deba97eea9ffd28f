<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\User;
use App\Support\Given;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use MillStep\Core\Competency\LadderPlace;
use MillStep\Core\Competency\Stage;

/**
 * What would follow if a permit were defined so: who would stand elsewhere, whose signature would cover less, and which turns
 * would end. Judged by the same readers as the gate's, with the rules changed in memory. Nothing is written.
 *
 * @phpstan-import-type Definition from DefinePermit
 *
 * @phpstan-type Affected array{id: int, name: string, permit: string, before: array<string, mixed>, after: array<string, mixed>}
 * @phpstan-type Stands array{before: list<int>, after: list<int>, due: int}
 * @phpstan-type Loss array{id: int, name: string, lost: object, machines: list<string>}
 */
final class PermitPreview
{
    /** Of a permit that is new, or faulty. */
    public const NOTHING = ['stands' => ['before' => [], 'after' => [], 'due' => 0], 'affected' => [], 'loses' => [], 'turns' => []];

    public function __construct(private readonly Standings $standings, private readonly OpenTurns $turns)
    {
    }

    /**
     * @param  Definition  $given  without faults
     * @return array{stands: Stands, affected: list<Affected>, loses: list<Loss>, turns: list<array{session: string, machine: string,
     *     person: string, since: string, reasons: list<string>}>}
     */
    public function of(array $given): array
    {
        $inForce = Rules::inForce();
        $stood = $inForce->permits->get($given['code']);
        if ($stood === null) {
            return self::NOTHING;
        }
        $changed = $this->changed($stood, $given);
        $rules = $inForce->with($changed);
        $learners = User::learners()->get();
        $before = $this->standings->of($learners, $inForce->permits->values(), rules: $inForce);
        $after = $this->standings->of($learners, $rules->permits->values(), rules: $rules);
        $affected = [];
        foreach ($learners as $learner) {
            foreach ($inForce->permits as $permit) {
                $was = $before[$learner->id][$permit->code]->place;
                $becomes = $after[$learner->id][$permit->code]->place;
                if (self::shown($was) !== self::shown($becomes)) {
                    $affected[] = [
                        'id' => $learner->id, 'name' => $learner->name, 'permit' => $permit->name,
                        'before' => $was->shown(), 'after' => $becomes->shown(),
                    ];
                }
            }
        }

        return [
            'stands' => self::stands($before, $after, $stood->code),
            'affected' => $affected,
            'loses' => array_values(array_filter($learners->map(
                fn (User $learner): ?array => $this->lost($learner, $before[$learner->id][$stood->code], $changed, $given),
            )->all())),
            'turns' => $this->turns->endingUnder($rules, $changed, $given['machines'] ?? null),
        ];
    }

    /**
     * @param  array<int, array<string, PermitStanding>>  $before
     * @param  array<int, array<string, PermitStanding>>  $after
     * @return Stands
     */
    private static function stands(array $before, array $after, string $code): array
    {
        $stands = ['before' => array_fill(0, count(Stage::cases()), 0), 'after' => array_fill(0, count(Stage::cases()), 0), 'due' => 0];
        foreach (['before' => $before, 'after' => $after] as $when => $standings) {
            foreach ($standings as $mine) {
                $stands[$when][$mine[$code]->place->stage->value]++;
            }
        }
        foreach ($after as $mine) {
            $stands['due'] += ($mine[$code]->place->due ?? []) === [] ? 0 : 1;
        }

        return ['before' => array_values($stands['before']), 'after' => array_values($stands['after']), 'due' => $stands['due']];
    }

    /**
     * @param  Definition  $given
     * @return Loss|null what their signature covers today and would no longer cover
     */
    private function lost(User $learner, PermitStanding $stands, Permit $changed, array $given): ?array
    {
        $covered = $stands->place->stage === Stage::Tapped ? $stands->covered() : null;
        if ($covered === null) {
            return null;
        }
        $lost = $covered->lostIn($covered->within($changed->coreScope()));
        $machines = isset($given['machines'])
            ? Given::texts($stands->permit->machines()->whereNotIn('workshop_machines.id', $given['machines'])->pluck('name')->all())
            : [];

        return $lost === [] && $machines === [] ? null
            : ['id' => $learner->id, 'name' => $learner->name, 'lost' => (object) $lost, 'machines' => $machines];
    }

    /** @param  Definition  $given */
    private function changed(Permit $stood, array $given): Permit
    {
        $changed = clone $stood;
        $changed->fill([
            'requirement' => $stood->asking($given['requirement'], $given['later_days'] ?? null),
            'scope' => $given['scope'], 'validity_days' => $given['validity_days'],
            'further' => $given['further'] ?? $stood->further,
        ]);
        $statements = $stood->statements->all();
        $last = $stood->statements->sortByDesc('version')->first();
        if ($last === null || $last->getRawOriginal('body') !== $given['statement']) {
            $now = CarbonImmutable::now();
            $grace = $given['grace_days'] ?? 0;
            $statements[] = new Statement([
                'version' => ($last->version ?? 0) + 1, 'body' => $given['statement'], 'in_force_from' => $now->subSecond(),
                'grace_until' => $grace === 0 ? null : $now->addDays($grace),
            ]);
        }
        $changed->setRelation('statements', new Collection($statements));
        foreach (['signers', 'supervisors'] as $who) {
            isset($given[$who]) && $changed->setRelation($who, User::query()->whereKey($given[$who])->get());
        }

        return $changed;
    }

    /** @return array{int, bool, string|null} */
    private static function shown(LadderPlace $place): array
    {
        return [$place->stage->value, $place->held, $place->lapsed?->value];
    }
}
