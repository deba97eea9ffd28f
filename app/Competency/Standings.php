<?php

declare(strict_types=1);

namespace App\Competency;

use App\Learning\Lesson;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use MillStep\Core\Competency\Ledger\Ledger;
use MillStep\Core\Competency\PrerequisiteStanding;
use MillStep\Core\Competency\Requirement;
use MillStep\Core\Competency\Standing;
use MillStep\Core\Fields;

/**
 * The one reader of the ledger: has the core fold a learner's lines into a record and say where that puts them. Gate,
 * pages and signatures read nothing else. One query for all the learners asked about, so that a cohort costs no more
 * than one of them.
 */
final class Standings
{
    /** @var array<string, int>|null the oldest version of each lesson that still counts, by code */
    private ?array $accepted = null;

    /**
     * @param  Collection<int, User>  $learners
     * @param  Collection<int, Permit>  $permits  with their statements
     * @param  CarbonImmutable|null  $asOf  an instant in the past: what had been recorded by then, and nothing after
     * @return array<int, array<string, PermitStanding>> by learner id and permit code
     */
    public function of(Collection $learners, Collection $permits, ?CarbonImmutable $asOf = null): array
    {
        $all = Permit::query()->with('statements')->get()->keyBy('code');
        $entries = LedgerEntry::query()->whereIn('learner_id', $learners->pluck('id'))
            ->when($asOf !== null, static fn ($query) => $query->where('recorded_at', '<=', $asOf))
            ->orderBy('seq')->get()->groupBy('learner_id');
        $standings = [];
        foreach ($learners as $learner) {
            $computed = [];
            foreach ($permits as $permit) {
                $this->stand($permit, $all, $entries[$learner->id] ?? new Collection, $asOf ?? CarbonImmutable::now(), $computed);
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
     * @param  Collection<string, Permit>  $all
     * @param  Collection<int, LedgerEntry>  $entries  of one learner
     * @param  array<string, PermitStanding|null>  $computed  filled with this permit and those that it builds on; null while one
     *                                                        is being computed, so that permits in a circle do not carry each other
     */
    private function stand(Permit $permit, Collection $all, Collection $entries, CarbonImmutable $asOf, array &$computed): ?PermitStanding
    {
        if (array_key_exists($permit->code, $computed)) {
            return $computed[$permit->code];
        }
        $computed[$permit->code] = null;
        $prerequisites = [];
        foreach ($permit->requirement['prerequisites'] ?? [] as $code) {
            $below = $all->get($code);
            $place = $below === null ? null : $this->stand($below, $all, $entries, $asOf, $computed)?->place;
            if ($place !== null) {
                $prerequisites[$code] = new PrerequisiteStanding($place->stage, $place->held, $place->lapsed !== null);
            }
        }
        $standing = new Standing($asOf, $this->requirement($permit), $this->ledger($permit, $entries), $prerequisites);
        $record = $standing->ledger->asOf($asOf);

        return $computed[$permit->code] = new PermitStanding($permit, $record, $standing->of($record), $standing->prerequisitesMissing());
    }

    private function requirement(Permit $permit): Requirement
    {
        $statement = $permit->statementInForce();
        $this->accepted ??= Lesson::query()->orderBy('version')->pluck('accepted_from', 'code')->all();
        $lessons = [...$permit->requirement['lessons'], ...$permit->requirement['guided'] ?? []];

        return Requirement::fromFields(Fields::of([
            ...$permit->requirement,
            'statement_version' => $statement->version,
            'statement_grace_until' => $statement->grace_until?->toIso8601ZuluString(),
            'accepted_versions' => array_intersect_key($this->accepted, array_flip($lessons)),
        ]));
    }

    /** @param  Collection<int, LedgerEntry>  $entries  of one learner, in the ledger's sequence */
    private function ledger(Permit $permit, Collection $entries): Ledger
    {
        return Ledger::of($entries
            ->filter(static fn (LedgerEntry $entry): bool => $entry->permit_id === null || $entry->permit_id === $permit->id)
            ->map(static fn (LedgerEntry $entry) => $entry->line()));
    }
}
