<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use MillStep\Core\Competency\Ledger\Ledger;
use MillStep\Core\Competency\PrerequisiteStanding;
use MillStep\Core\Competency\Record;
use MillStep\Core\Competency\Standing;

/**
 * The one reader of the ledger: has the core fold a learner's lines into a record and say where that puts them. Gate,
 * pages and signatures read nothing else. One query for all the learners asked about, so that a cohort costs no more
 * than one of them.
 *
 * @phpstan-import-type SinceFold from Folds
 * @phpstan-import-type Found from Soundness
 */
final class Standings
{
    public function __construct(private readonly Folds $folds)
    {
    }

    /**
     * @param  Collection<int, User>  $learners
     * @param  Collection<int, Permit>  $permits  with their statements
     * @param  CarbonImmutable|null  $asOf  an instant in the past: what had been recorded by then, and nothing after
     * @param  Rules|null  $rules  where they are known already
     * @param  list<SinceFold>  $read  what was read already of them
     * @param  Found|null  $found  what was found in the ledger, where that was read already
     * @return array<int, array<string, PermitStanding>> by learner id and permit code
     */
    public function of(
        Collection $learners,
        Collection $permits,
        ?CarbonImmutable $asOf = null,
        ?Rules $rules = null,
        array $read = [],
        ?array $found = null,
    ): array {
        $rules ??= Rules::inForce();
        $now = $asOf ?? CarbonImmutable::now();
        $ids = $learners->map(static fn (User $learner): int => $learner->id)->all();
        $records = $asOf === null
            ? $this->folds->records($ids, $rules->permits, $now, $read, $found)
            : new LearnerRecords(self::past($ids, $rules, $asOf));
        $standings = [];
        foreach ($learners as $learner) {
            $computed = [];
            foreach ($permits as $permit) {
                $this->stand($permit, $rules, $records->of($learner->id), $records->isSound($learner->id), $now, $computed);
            }
            $standings[$learner->id] = array_intersect_key(array_filter($computed), $permits->keyBy('code')->all());
        }

        return $standings;
    }

    public function one(User $learner, Permit $permit): PermitStanding
    {
        return $this->of(collect([$learner]), collect([$permit]))[$learner->id][$permit->code];
    }

    /**
     * @param  array<int, Record>  $records  of one learner, by permit
     * @param  array<string, PermitStanding|null>  $computed  filled with this permit and those that it builds on; null while one
     *                                                        is being computed, so that permits in a circle do not carry each other
     */
    private function stand(
        Permit $permit,
        Rules $rules,
        array $records,
        bool $sound,
        CarbonImmutable $now,
        array &$computed,
    ): ?PermitStanding {
        if (array_key_exists($permit->code, $computed)) {
            return $computed[$permit->code];
        }
        $computed[$permit->code] = null;
        $prerequisites = [];
        $requirement = $rules->requirement($permit);
        foreach ($requirement->prerequisites as $code) {
            $below = $rules->permits->get($code);
            $place = $below === null ? null : $this->stand($below, $rules, $records, $sound, $now, $computed)?->place;
            if ($place !== null) {
                $prerequisites[$code] = new PrerequisiteStanding($place->stage, $place->held, $place->lapsed !== null);
            }
        }
        $record = $records[$permit->id];
        $standing = new Standing($now, $requirement, Ledger::of([]), $prerequisites);

        return $computed[$permit->code] = new PermitStanding(
            $permit,
            $record,
            $standing->of($record),
            $standing->prerequisitesMissing($record),
            $requirement->staleChecks($record, $now),
            $sound,
        );
    }

    /**
     * @param  array<int, int>  $learners
     * @return array<int, array<int, Record>>
     */
    private static function past(array $learners, Rules $rules, CarbonImmutable $asOf): array
    {
        $entries = LedgerEntry::query()
            ->whereIn('learner_id', $learners)
            ->where('recorded_at', '<=', $asOf)
            ->orderBy('seq')
            ->get()
            ->groupBy('learner_id');
        $records = [];
        foreach ($learners as $learner) {
            foreach ($rules->permits as $permit) {
                $records[$learner][$permit->id] = Folds::ledger($entries[$learner] ?? new Collection, $permit->id)->asOf($asOf);
            }
        }

        return $records;
    }
}
