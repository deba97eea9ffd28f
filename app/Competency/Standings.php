<?php

declare(strict_types=1);

namespace App\Competency;

use App\Learning\Lesson;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use MillStep\Core\Competency\LadderPlace;
use MillStep\Core\Competency\Standing;
use MillStep\Core\Fields;

/**
 * Asks the core where learners stand. Always computed from the ledger; nothing here is stored.
 * One query for all the learners asked about, so that a cohort costs no more than one of them.
 */
final class Standings
{
    /** @var array<string, int>|null the oldest version of each lesson that still counts, by code */
    private ?array $accepted = null;

    /**
     * @param  Collection<int, User>  $learners
     * @param  Collection<int, Permit>  $permits  with their statements
     * @return array<int, array<string, LadderPlace>> by learner id and permit code
     */
    public function of(Collection $learners, Collection $permits, ?CarbonImmutable $asOf = null): array
    {
        $asOf ??= CarbonImmutable::now();
        $all = Permit::query()->with('statements')->get()->keyBy('code');
        $entries = LedgerEntry::query()->whereIn('learner_id', $learners->pluck('id'))->orderBy('seq')->get()->groupBy('learner_id');
        $standings = [];
        foreach ($learners as $learner) {
            $computed = [];
            foreach ($permits as $permit) {
                $this->stand($permit, $all, $entries[$learner->id] ?? new Collection, $asOf, $computed);
            }
            $standings[$learner->id] = array_intersect_key($computed, $permits->keyBy('code')->all());
        }

        return $standings;
    }

    public function one(User $learner, Permit $permit): LadderPlace
    {
        return $this->of(collect([$learner]), collect([$permit]))[$learner->id][$permit->code];
    }

    /**
     * @param  Collection<string, Permit>  $all
     * @param  Collection<int, LedgerEntry>  $entries  of one learner
     * @param  array<string, LadderPlace>  $computed  filled with this permit and those that it builds on
     */
    private function stand(Permit $permit, Collection $all, Collection $entries, CarbonImmutable $asOf, array &$computed): LadderPlace
    {
        if (isset($computed[$permit->code])) {
            return $computed[$permit->code];
        }
        $prerequisites = [];
        foreach ($permit->requirement['prerequisites'] ?? [] as $code) {
            $below = $all->get($code);
            if ($below !== null) {
                $prerequisites[$code] = $this->stand($below, $all, $entries, $asOf, $computed)->toArray();
            }
        }
        $statement = $permit->statementInForce();

        return $computed[$permit->code] = Standing::fromFields(Fields::of([
            'now' => $asOf->toIso8601ZuluString('microsecond'),
            'requirement' => [
                ...$permit->requirement,
                'statement_version' => $statement->version,
                'statement_grace_until' => $statement->grace_until?->toIso8601ZuluString(),
            ],
            'ledger' => $this->forCore($permit, $entries),
            'prerequisites' => $prerequisites,
        ]))->compute();
    }

    /**
     * The learner's entries that speak about this permit, in the core's shape.
     *
     * @param  Collection<int, LedgerEntry>  $entries
     * @return list<array<string, mixed>>
     */
    private function forCore(Permit $permit, Collection $entries): array
    {
        $relevant = $entries
            ->filter(fn (LedgerEntry $entry): bool => $entry->permit_id === null || $entry->permit_id === $permit->id)
            ->filter(fn (LedgerEntry $entry): bool => $entry->type !== 'lesson_completed' || $this->stillAccepted($entry->details()))
            ->values();
        $index = $relevant->pluck('id')->flip();
        $lines = [];
        foreach ($relevant as $entry) {
            $details = $entry->details();
            if ($entry->type === 'corrected') {
                $place = $index->get(is_string($details['entry'] ?? null) ? $details['entry'] : '');
                if ($place === null) {
                    // Corrects a line that says nothing about this permit; keep the places of the others.
                    $lines[] = ['type' => 'statement_acknowledged', 'at' => $entry->happened_at->toIso8601ZuluString('microsecond')];

                    continue;
                }
                $details['entry'] = $place;
            }
            $lines[] = [...$details, 'type' => $entry->type, 'at' => $entry->happened_at->toIso8601ZuluString('microsecond')];
        }

        return $lines;
    }

    /** @param  array<string, mixed>  $details */
    private function stillAccepted(array $details): bool
    {
        $this->accepted ??= Lesson::query()->orderBy('version')->pluck('accepted_from', 'code')->all();

        return ($details['version'] ?? 0) >= ($this->accepted[$details['lesson'] ?? ''] ?? 0);
    }
}
