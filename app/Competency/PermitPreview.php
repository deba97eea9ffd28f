<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use MillStep\Core\Competency\LadderPlace;

/**
 * Who would stand elsewhere if a permit were defined so: judged by the same reader as the gate's, with the rules changed
 * in memory. Nothing is written, and no decision waits for it.
 *
 * @phpstan-import-type Definition from DefinePermit
 */
final class PermitPreview
{
    public function __construct(private readonly Standings $standings)
    {
    }

    /**
     * @param  Definition  $given  without faults
     * @return list<array{id: int, name: string, permit: string, before: array<string, mixed>, after: array<string, mixed>}>
     */
    public function of(array $given): array
    {
        $inForce = Rules::inForce();
        $stood = $inForce->permits->get($given['code']);
        if ($stood === null) {
            return [];
        }
        $rules = $inForce->with($this->changed($stood, $given));
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
                        'before' => $was->toArray(), 'after' => $becomes->toArray(),
                    ];
                }
            }
        }

        return $affected;
    }

    /** @param  Definition  $given */
    private function changed(Permit $stood, array $given): Permit
    {
        $changed = clone $stood;
        $changed->fill(['requirement' => $given['requirement'], 'scope' => $given['scope'], 'validity_days' => $given['validity_days']]);
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

        return $changed;
    }

    /** @return array{int, bool, string|null} */
    private static function shown(LadderPlace $place): array
    {
        return [$place->stage->value, $place->held, $place->lapsed?->value];
    }
}
