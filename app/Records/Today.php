<?php

declare(strict_types=1);

namespace App\Records;

use App\Assessment\SheetAttempt;
use App\Competency\Permit;
use App\Competency\PermitStanding;
use App\Competency\Readiness;
use App\Competency\Soundness;
use App\Competency\Standings;
use App\Gate\MachineSession;
use App\Gate\Presence;
use App\Learning\HoldPoint;
use App\People\Cohort;
use App\People\User;
use App\Practice\Entry;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use MillStep\Core\Competency\Stage;

/** The instructor's first screen: who stands where, who waits for whom, what is next. */
final class Today
{
    public function __construct(private readonly Standings $standings, private readonly Readiness $readiness)
    {
    }

    /** @return array<string, mixed> */
    public function for(User $instructor): array
    {
        $permits = Permit::query()->with('statements')->orderBy('id')->get();
        $learners = $instructor->reached()->with('cohorts')->get();
        $standings = $this->standings->of($learners, $permits);

        return [
            'permits' => $permits->map(static fn (Permit $permit): array => ['code' => $permit->code, 'name' => $permit->name])->all(),
            'cohorts' => $this->cohorts($instructor, $learners, $standings),
            'waiting' => [
                ...$this->looks($learners),
                ...$this->practice($learners),
                ...$this->signatures($learners, $permits, $standings),
                ...$this->openSheets($learners),
                ...$this->appeals($learners, $instructor),
            ],
            'at_machines' => MachineSession::query()->with(['user', 'machine', 'companion', 'supervisor'])->whereNull('ended_at')->get()
                ->map(static fn (MachineSession $session): array => [
                    'id' => $session->id,
                    'machine' => $session->machine->name,
                    'person' => $session->user->name,
                    'decision' => $session->decision,
                    'companion' => $session->companion?->name,
                    'supervisor' => $session->supervisor?->name,
                    'since' => $session->started_at->toIso8601ZuluString(),
                ])->all(),
            'unsealed_lines' => $instructor->leads() ? Soundness::toTakeOver() : 0,
            'on_floor' => Presence::query()->with('user')->where('until', '>', CarbonImmutable::now())->get()
                ->map(static fn (Presence $presence): array => [
                    'name' => $presence->user->name,
                    'until' => $presence->until->toIso8601ZuluString(),
                ])->all(),
            'on_floor_until' => Presence::query()
                ->where('user_id', $instructor->id)
                ->where('until', '>', CarbonImmutable::now())
                ->first()?->until
                ->toIso8601ZuluString(),
        ];
    }

    /**
     * @param  Collection<int, User>  $learners
     * @param  array<int, array<string, PermitStanding>>  $standings
     * @return list<array{id: int, name: string, learners: list<array<string, mixed>>}> whoever is in none comes last
     */
    private function cohorts(User $instructor, Collection $learners, array $standings): array
    {
        $row = static fn (User $learner): array => [
            'id' => $learner->id,
            'name' => $learner->name,
            'standings' => array_map(
                static fn (PermitStanding $standing): array => $standing->place->shown(),
                $standings[$learner->id] ?? [],
            ),
        ];
        $groups = Cohort::query()->orderBy('starts_on')->orderBy('name')->get()->map(static fn (Cohort $cohort): array => [
            'id' => $cohort->id,
            'name' => $cohort->name,
            'learners' => array_values($learners->filter(
                static fn (User $learner): bool => $learner->cohorts->contains($cohort),
            )->map($row)->all()),
        ])->filter(static fn (array $group): bool => $group['learners'] !== [] || $instructor->leads() || $instructor->all_cohorts)->all();
        $free = array_values($learners->filter(static fn (User $learner): bool => $learner->cohorts->isEmpty())->map($row)->all());

        return [...array_values($groups), ...($free === [] ? [] : [['id' => 0, 'name' => '', 'learners' => $free]])];
    }

    /**
     * @param  Collection<int, User>  $learners
     * @return list<array<string, mixed>> hold points of lessons that wait for an instructor's look
     */
    private function looks(Collection $learners): array
    {
        return array_values(HoldPoint::awaited()->with(['progress.learner', 'progress.lesson'])
            ->whereRelation('progress', static fn ($progress) => $progress->whereIn('learner_id', $learners->modelKeys()))
            ->orderBy('asked_at')->get()
            ->map(fn (HoldPoint $hold): array => $this->item('look', $hold->progress->learner, $hold->asked_at, (string) $hold->id,
                "{$hold->progress->lesson->code} {$hold->progress->lesson->title}",
                $hold->progress->lesson->step($hold->step)['hold'] ?? null))->all());
    }

    /**
     * @param  Collection<int, User>  $learners
     * @return list<array<string, mixed>>
     */
    private function practice(Collection $learners): array
    {
        return array_values(Entry::query()->with(['learner', 'machine'])->whereIn('learner_id', $learners->modelKeys())
            ->where('state', 'waiting')->orderBy('created_at')->get()
            ->map(
                fn (Entry $entry): array => $this->item(
                    'practice',
                    $entry->learner,
                    $entry->created_at,
                    $entry->id,
                    $entry->exercise,
                    $entry->machine->name,
                    $entry->minutes,
                ),
            )
            ->all());
    }

    /**
     * @param  Collection<int, User>  $learners
     * @return list<array<string, mixed>>
     */
    private function openSheets(Collection $learners): array
    {
        return array_values(SheetAttempt::stillOpen()->with(['learner', 'sheet'])->whereIn('learner_id', $learners->modelKeys())
            ->orderBy('started_at')->get()
            ->map(
                fn (SheetAttempt $attempt): array => $this->item(
                    'sheet',
                    $attempt->learner,
                    $attempt->started_at,
                    $attempt->id,
                    $attempt->sheet->title,
                    null,
                ),
            )
            ->all());
    }

    /**
     * @param  Collection<int, User>  $learners
     * @return list<array<string, mixed>> appeals that this instructor may answer
     */
    private function appeals(Collection $learners, User $instructor): array
    {
        $appealed = SheetAttempt::query()->with(['learner', 'sheet', 'lines'])->whereIn('learner_id', $learners->modelKeys())
            ->whereNotNull('concluded_at')->whereHas('lines', static fn ($line) => $line->where('kind', 'appealed'))
            ->whereDoesntHave('lines', static fn ($line) => $line->where('kind', 'appeal_answered'))->get();

        return array_values($appealed->reject(static fn (SheetAttempt $attempt): bool => $attempt->hadAHandIn($instructor))->map(
            fn (SheetAttempt $attempt): array => $this->item(
                'appeal',
                $attempt->learner,
                $attempt->marks()->said('appealed')?->made_at,
                $attempt->id,
                $attempt->sheet->title,
                null,
            ),
        )->all());
    }

    /**
     * @param  Collection<int, User>  $learners
     * @param  Collection<int, Permit>  $permits
     * @param  array<int, array<string, PermitStanding>>  $standings
     * @return list<array<string, mixed>>
     */
    private function signatures($learners, $permits, array $standings): array
    {
        $items = [];
        foreach ($learners as $learner) {
            foreach ($permits as $permit) {
                $standing = $standings[$learner->id][$permit->code];
                $reasons = $this->readiness->onLearnersSide($standing, $learner)->reasons();
                // Nothing but the acknowledgement may be missing; and what is signed already waits for nobody.
                $place = $standing->place;
                if ($place->stage !== Stage::Drilled || $place->held || array_diff($reasons, ['not_acknowledged']) !== []) {
                    continue;
                }
                $items[] = $this->item(
                    $reasons === [] ? 'signature' : 'acknowledgement',
                    $learner,
                    null,
                    $permit->code,
                    $permit->name,
                    $standing->place->lapsed?->value,
                );
            }
        }

        return $items;
    }

    /** @return array<string, mixed> */
    private function item(
        string $kind,
        User $learner,
        ?CarbonImmutable $since,
        string $id,
        string $what,
        ?string $detail,
        ?int $minutes = null,
    ): array {
        return [
            'kind' => $kind,
            'learner' => ['id' => $learner->id, 'name' => $learner->name],
            'since' => $since?->toIso8601ZuluString(),
            'id' => $id,
            'what' => $what,
            'detail' => $detail,
            'minutes' => $minutes,
        ];
    }
}
