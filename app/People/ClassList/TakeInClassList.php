<?php

declare(strict_types=1);

namespace App\People\ClassList;

use App\People\BadgeDesk;
use App\People\ChangeActive;
use App\People\Cohort;
use App\People\Role;
use App\People\SavePerson;
use App\People\User;
use App\Support\Given;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\Message;

/**
 * A list of learners. A fault in any line, and none of it is taken in; without one it is taken in fifty lines at a time, so that no
 * gate waits for it. A list adds people and classes and corrects what is known; whoever is not in it stays as they are. Taken in again
 * it changes nothing, and goes on where it was cut off.
 *
 * @phpstan-type Line array{line: int, name: string, email: string, change: 'new'|'changed'|'same'|'fault', changes: list<Message>,
 *     faults: list<Message>}
 */
final class TakeInClassList
{
    /** So many lines at a time. */
    public const BATCH = 50;

    public function __construct(
        private readonly SavePerson $save,
        private readonly ChangeActive $changeActive,
        private readonly BadgeDesk $badges,
    ) {
    }

    /**
     * What taking it in would change, line by line.
     *
     * @param  list<Row>  $rows
     * @return list<Line>
     */
    public function preview(array $rows): array
    {
        $known = User::query()->with('cohorts')->get();
        $cohorts = Cohort::query()->pluck('name')->map(static fn (mixed $name): string => mb_strtolower(Given::text($name)))->flip();
        $handedOut = $this->badges->known(array_values(array_filter(
            array_map(static fn (Row $row): ?string => $row->badge, $rows),
            static fn (?string $code): bool => $code !== null,
        )));
        $seen = $badges = $lines = [];
        foreach ($rows as $row) {
            $person = $this->find($known->all(), $row);
            $other = $known->first(static fn (User $each): bool => $each->email === $row->email && ! $each->is($person));
            $faults = $this->faults($row, $person, $other, $handedOut[$row->badge ?? ''] ?? null, $seen, $badges);
            $seen[$row->email] ??= $row->line;
            $row->badge === null || $badges[mb_strtoupper($row->badge)] ??= $row->line;
            $changes = $this->changes($row, $person, $handedOut[$row->badge ?? ''] ?? null, $cohorts->all());
            $lines[] = [
                'line' => $row->line, 'name' => $row->name, 'email' => $row->email,
                'change' => match (true) {
                    $faults !== [] => 'fault',
                    $person === null => 'new',
                    $changes === [] => 'same',
                    default => 'changed',
                },
                'changes' => $changes, 'faults' => $faults,
            ];
        }

        return $lines;
    }

    /**
     * All of it, batch after batch.
     *
     * @param  list<Row>  $rows
     * @return list<Line>|null what was taken in; null, and nothing, where a line has a fault
     */
    public function __invoke(array $rows, User $by): ?array
    {
        $lines = $this->preview($rows);
        if (in_array('fault', array_column($lines, 'change'), true)) {
            return null;
        }
        for ($from = 0; $from < count($rows); $from += self::BATCH) {
            $this->batch($rows, $from, $by);
        }

        return $lines;
    }

    /**
     * The lines from one on, as many as are taken in at a time: in one transaction of their own.
     *
     * @param  list<Row>  $rows
     * @return int|null how many lines of the list are in after that; null, and none, where one of these has a fault
     */
    public function batch(array $rows, int $from, User $by): ?int
    {
        $batch = array_slice($rows, $from, self::BATCH);

        return DB::transaction(function () use ($batch, $from, $by): ?int {
            // Two lists at once would both find the same people missing.
            DB::select('SELECT pg_advisory_xact_lock(hashtext(?))', ['people.class-list']);
            if (in_array('fault', array_column($this->preview($batch), 'change'), true)) {
                return null;
            }
            $known = User::query()->with('cohorts')->get()->all();
            foreach ($batch as $row) {
                $this->take($row, $this->find($known, $row), $by);
            }

            return $from + count($batch);
        });
    }

    private function take(Row $row, ?User $person, User $by): void
    {
        $cohorts = array_map(static fn (string $name): int => (Cohort::query()->where('name', 'ilike', addcslashes($name, '%_\\'))->first()
            ?? Cohort::query()->create(['name' => $name, 'starts_on' => CarbonImmutable::today()]))->id, $row->cohorts);
        $saved = ($this->save)($person, [
            'name' => $row->name,
            'email' => $row->email,
            'role' => Role::Learner->value,
            'cohorts' => array_values(array_unique([...($person?->cohorts->modelKeys() ?? []), ...$cohorts])),
            ...array_filter(
                ['born_on' => $row->born, 'guardian_acknowledged_on' => $row->guardian, 'sis_id' => $row->sisId],
                static fn (?string $said): bool => $said !== null,
            ),
            ...($person === null ? ['language' => $by->language, 'units' => $by->units] : []),
        ], $by);
        $saved->active || ($this->changeActive)($saved, true, $by);
        $row->badge === null || $this->badges->issue($saved, $row->badge, $by);
    }

    /** @param  array<int, User>  $known */
    private function find(array $known, Row $row): ?User
    {
        $byMail = null;
        foreach ($known as $person) {
            if ($row->sisId !== null && $person->sis_id === $row->sisId) {
                return $person;
            }
            $byMail = $person->email === $row->email ? $person : $byMail;
        }

        return $byMail;
    }

    /**
     * @param  array{holder: int, works: bool}|null  $badge  what is known of theirs
     * @param  array<string, int>  $seen  lines by address
     * @param  array<string, int>  $badges  lines by badge
     * @return list<Message>
     */
    private function faults(Row $row, ?User $person, ?User $other, ?array $badge, array $seen, array $badges): array
    {
        return array_values(array_filter([
            ...$row->faults,
            $row->name === '' ? Message::of('fault.list.no_name') : null,
            mb_strlen($row->name) > 80 ? Message::of('fault.list.long_name', ['most' => 80]) : null,
            $row->email === '' ? Message::of('fault.list.no_mail_given') : null,
            $row->email !== '' && filter_var($row->email, FILTER_VALIDATE_EMAIL) === false
                ? Message::of('fault.list.no_mail', ['given' => Message::quote($row->email)]) : null,
            isset($seen[$row->email]) ? Message::of('fault.list.twice', ['line' => $seen[$row->email]]) : null,
            $person !== null && $other !== null ? Message::of('fault.list.mail_taken', ['name' => $other->name]) : null,
            $person !== null && $person->role !== Role::Learner ? Message::of('fault.list.no_learner', ['name' => $person->name]) : null,
            array_filter($row->cohorts, static fn (string $name): bool => mb_strlen($name) > 80) !== []
                ? Message::of('fault.list.long_cohort', ['most' => 80]) : null,
            $row->badge !== null && mb_strlen($row->badge) > 64 ? Message::of('fault.list.long_badge', ['most' => 64]) : null,
            $badge !== null && ($badge['holder'] !== $person?->id || ! $badge['works']) ? Message::of('fault.list.badge_taken') : null,
            $row->badge !== null && isset($badges[mb_strtoupper($row->badge)])
                ? Message::of('fault.list.badge_twice', ['line' => $badges[mb_strtoupper($row->badge)]]) : null,
        ]));
    }

    /**
     * @param  array{holder: int, works: bool}|null  $badge  what is known of theirs
     * @param  array<string, int>  $cohorts  that there are, by name
     * @return list<Message>
     */
    private function changes(Row $row, ?User $person, ?array $badge, array $cohorts): array
    {
        $in = $person?->cohorts->pluck('name')->map(static fn (mixed $name): string => mb_strtolower(Given::text($name)))->all() ?? [];
        $changes = [];
        if ($person !== null) {
            foreach (['name' => $row->name, 'email' => $row->email] as $key => $value) {
                if ($value !== $person->$key) {
                    $changes[] = Message::of("people.list.becomes.$key", ['from' => $person->$key, 'to' => $value]);
                }
            }
            $person->active || $changes[] = Message::of('people.list.here_again');
        }
        foreach ($row->cohorts as $name) {
            if (! in_array(mb_strtolower($name), $in, true)) {
                $changes[] = Message::of(
                    isset($cohorts[mb_strtolower($name)]) ? 'people.list.joins' : 'people.list.joins_new',
                    ['cohort' => $name],
                );
            }
        }
        foreach (['born_on' => $row->born, 'guardian_acknowledged_on' => $row->guardian] as $key => $day) {
            if ($day !== null && $person?->$key?->format('Y-m-d') !== $day) {
                $changes[] = Message::of("people.list.$key", ['day' => $day]);
            }
        }
        if ($row->badge !== null && $badge === null) {
            $changes[] = Message::of('people.list.badge');
        }

        return $changes;
    }
}
