<?php

declare(strict_types=1);

namespace App\Records\Assessing;

use App\Assessment\Again;
use App\Assessment\Sheet;
use App\Assessment\SheetAttempt;
use App\Competency\Permit;
use App\Competency\PermitStanding;
use App\Competency\Standings;
use App\Gate\MachineSession;
use App\People\User;
use App\Support\Given;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Assessment\Candidate;
use MillStep\Core\Assessment\Queue;
use MillStep\Core\Border\Message;
use MillStep\Core\Competency\Need;
use MillStep\Core\Competency\Stage;

/** Who can be assessed on what today, in which order and why; and who nearly, with what is missing. */
final class ReadyToAssess
{
    public function __construct(private readonly Standings $standings, private readonly Again $again)
    {
    }

    /** @return array{ready: list<array<string, mixed>>, nearly: list<array<string, mixed>>} */
    public function for(User $instructor): array
    {
        $learners = $instructor->reached()->where('active', true)->get();
        $permits = Permit::query()->with('statements')->orderBy('id')->get();
        $standings = $this->standings->of($learners, $permits);
        $sheets = Sheet::query()->orderBy('version')->get()->keyBy('code');
        $open = SheetAttempt::stillOpen()->with('sheet')->whereIn('learner_id', $learners->modelKeys())->get()
            ->keyBy(static fn (SheetAttempt $attempt): string => "{$attempt->learner_id} {$attempt->sheet->code}");
        $since = $this->since($learners);
        $again = $this->again->ofEach($learners);
        $signs = $instructor->loadMissing('signsFor')->signsFor->modelKeys();
        $free = $this->freeKinds();
        $now = CarbonImmutable::now();
        $rows = $candidates = $nearly = [];
        foreach ($learners as $learner) {
            foreach ($standings[$learner->id] ?? [] as $code => $standing) {
                foreach ($this->wanted($standing) as $sheet) {
                    $machine = $sheets->get($sheet)?->machine_kind;
                    $row = [
                        'learner' => ['id' => $learner->id, 'name' => $learner->name],
                        'permit' => ['code' => $code, 'name' => $standing->permit->name],
                        'sheet' => ['code' => $sheet, 'title' => $sheets->get($sheet)->title ?? $sheet],
                        'open_attempt' => $open->get("{$learner->id} $sheet")?->id,
                        'mine' => in_array($standing->permit->id, $signs, true),
                    ];
                    $missing = self::missing($standing, $again[$learner->id][$sheet] ?? null);
                    if ($missing !== []) {
                        $nearly[] = [...$row, 'missing' => array_map(static fn (Need $need): array => $need->toArray(), $missing)];

                        continue;
                    }
                    $id = "{$learner->id} $sheet";
                    $rows[$id] = $row;
                    $candidates[] = new Candidate(
                        $id,
                        $since[$learner->id] ?? $now,
                        $this->blocks($standing, $standings[$learner->id], $permits),
                        $machine === 'bench' || $machine === null ? null : in_array($machine, $free, true),
                    );
                }
            }
        }
        usort($nearly, static fn (array $a, array $b): int => count($a['missing']) <=> count($b['missing']));

        return [
            'ready' => array_map(static fn (Candidate $candidate): array => [
                ...$rows[$candidate->id],
                'reasons' => array_map(static fn (Message $reason): array => $reason->toArray(), $candidate->reasons($now)),
            ], Queue::order($candidates)),
            'nearly' => $nearly,
        ];
    }

    /** @return list<string> sheets that are next for a learner, or nearly */
    private function wanted(PermitStanding $standing): array
    {
        $place = $standing->place;
        $passed = array_keys(array_filter($standing->record->assessments, static fn (string $outcome): bool => $outcome === 'passed'));
        $near = $place->stage === Stage::Piloted || ($place->stage === Stage::Punched && Queue::isNear(count($place->next)));

        return $near && ! $place->held ? array_values(array_diff($standing->permit->requirement['assessments'], $passed)) : [];
    }

    /**
     * @param  array{until: CarbonImmutable|null, exercises: int}|null  $again
     * @return list<Need> what the ladder, or the wait after a try, still asks for
     */
    private static function missing(PermitStanding $standing, ?array $again): array
    {
        if ($standing->place->stage === Stage::Punched) {
            return $standing->place->next;
        }
        [$until, $exercises] = [$again['until'] ?? null, $again['exercises'] ?? 0];

        return [
            ...($until === null ? [] : [Need::waitUntil($until)]),
            ...($exercises === 0 ? [] : [Need::practice('count', $exercises)]),
        ];
    }

    /**
     * Permits that the learner has begun, and that build on this one.
     *
     * @param  array<string, PermitStanding>  $standings
     * @param  Collection<int, Permit>  $permits
     */
    private function blocks(PermitStanding $standing, array $standings, Collection $permits): int
    {
        return $permits->filter(static fn (Permit $permit): bool => in_array(
            $standing->permit->code,
            $permit->requirement['prerequisites'] ?? [],
            true,
        ) && ($standings[$permit->code]->place->stage ?? Stage::Blank) !== Stage::Blank)->count();
    }

    /**
     * When the last thing happened that a sheet waits for.
     *
     * @param  Collection<int, User>  $learners
     * @return array<int, CarbonImmutable>
     */
    private function since(Collection $learners): array
    {
        $since = [];
        $rows = DB::table('competency_ledger')
            ->whereIn('learner_id', $learners->map(static fn (User $learner): int => $learner->id)->all())
            ->whereIn('type', ['practice_confirmed', 'lesson_completed', 'check_attempted'])
            ->groupBy('learner_id')->selectRaw('learner_id, max(happened_at) AS last')->get();
        foreach ($rows as $row) {
            $since[Given::whole($row->learner_id)] = CarbonImmutable::parse(Given::text($row->last));
        }

        return $since;
    }

    /** @return list<string> kinds of machines of which one is in service and free */
    private function freeKinds(): array
    {
        $taken = MachineSession::query()->whereNull('ended_at')->get()
            ->map(static fn (MachineSession $turn): int => $turn->machine_id)->all();
        $kinds = [];
        foreach (Machine::query()->where('in_service', true)->get() as $machine) {
            if (! in_array($machine->id, $taken, true)) {
                $kinds[$machine->kind] = true;
            }
        }

        return array_keys($kinds);
    }
}
