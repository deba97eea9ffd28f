<?php

declare(strict_types=1);

namespace App\Competency;

use App\Assessment\Attempt;
use App\Gate\MachineSession;
use App\Gate\Presence;
use App\Learning\HoldPoint;
use App\People\Cohort;
use App\People\User;
use App\Practice\Entry;
use Carbon\CarbonImmutable;
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
        $learners = User::learners()->with('cohort')->get();
        $standings = $this->standings->of($learners, $permits);

        return [
            'permits' => $permits->map(static fn (Permit $permit): array => ['code' => $permit->code, 'name' => $permit->name])->all(),
            'cohorts' => Cohort::query()->orderBy('starts_on')->get()->map(static fn (Cohort $cohort): array => [
                'id' => $cohort->id,
                'name' => $cohort->name,
                'learners' => $learners->where('cohort_id', $cohort->id)->values()->map(static fn (User $learner): array => [
                    'id' => $learner->id,
                    'name' => $learner->name,
                    'standings' => array_map(
                        static fn (PermitStanding $standing): array => $standing->place->toArray(),
                        $standings[$learner->id],
                    ),
                ])->all(),
            ])->all(),
            'waiting' => [
                ...$this->looks(),
                ...$this->practice(),
                ...$this->signatures($learners, $permits, $standings),
                ...$this->openSheets(),
            ],
            'at_machines' => MachineSession::query()->with(['user', 'machine'])->whereNull('ended_at')->get()
                ->map(static fn (MachineSession $session): array => [
                    'id' => $session->id,
                    'machine' => $session->machine->name,
                    'person' => $session->user->name,
                    'decision' => $session->decision,
                    'since' => $session->started_at->toIso8601ZuluString(),
                ])->all(),
            'on_floor_until' => Presence::query()
                ->where('user_id', $instructor->id)
                ->where('until', '>', CarbonImmutable::now())
                ->first()?->until
                ->toIso8601ZuluString(),
        ];
    }

    /** @return list<array<string, mixed>> hold points of lessons that wait for an instructor's look */
    private function looks(): array
    {
        return array_values(HoldPoint::query()->with(['progress.learner',
            'progress.lesson'])->whereNull('opened_at')->orderBy('asked_at')->get()
            ->map(fn (HoldPoint $hold): array => $this->item('look', $hold->progress->learner, $hold->asked_at, (string) $hold->id,
                "{$hold->progress->lesson->code} {$hold->progress->lesson->title}",
                $hold->progress->lesson->step($hold->step)['hold'] ?? null))->all());
    }

    /** @return list<array<string, mixed>> */
    private function practice(): array
    {
        return array_values(Entry::query()->with(['learner', 'machine'])->where('state', 'waiting')->orderBy('created_at')->get()
            ->map(
                fn (Entry $entry): array => $this->item(
                    'practice',
                    $entry->learner,
                    $entry->created_at,
                    $entry->id,
                    $entry->exercise,
                    "{$entry->minutes} min, {$entry->machine->name}",
                ),
            )
            ->all());
    }

    /** @return list<array<string, mixed>> */
    private function openSheets(): array
    {
        return array_values(Attempt::query()->with(['learner', 'sheet'])->whereNull('concluded_at')->orderBy('started_at')->get()
            ->map(
                fn (Attempt $attempt): array => $this->item(
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
     * @param  \Illuminate\Database\Eloquent\Collection<int, User>  $learners
     * @param  \Illuminate\Database\Eloquent\Collection<int, Permit>  $permits
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
    private function item(string $kind, User $learner, ?CarbonImmutable $since, string $id, string $what, ?string $detail): array
    {
        return [
            'kind' => $kind,
            'learner' => ['id' => $learner->id, 'name' => $learner->name],
            'since' => $since?->toIso8601ZuluString(),
            'id' => $id,
            'what' => $what,
            'detail' => $detail,
        ];
    }
}
