<?php

declare(strict_types=1);

namespace App\Competency;

use App\Support\Given;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Message;
use MillStep\Core\Competency\Ledger\Entries;
use MillStep\Core\Competency\Ledger\Entry;
use MillStep\Core\Competency\Ledger\Folded;
use MillStep\Core\Competency\Ledger\Ledger;
use MillStep\Core\Competency\Ledger\Line;
use MillStep\Core\Competency\Record;

/**
 * Reads learners' records from folds that were kept and the lines after them, in one query. A fold is sealed with the
 * shop's key and names the line that it stands at; where it is missing, not ours, of another make or cannot say, the
 * ledger is read whole. What has grown long is folded again after the answer has gone out.
 *
 * @phpstan-import-type Stored from Soundness
 * @phpstan-import-type Found from Soundness
 *
 * @phpstan-type Kept array{permit: int, seq: int, state: string, seal: string}
 * @phpstan-type SinceFold array{learner: int, folds: list<Kept>|null, lines: list<Stored>|null, newest: int|null}
 */
final class Folds
{
    /** So many lines after a fold are worth folding again. */
    private const LONG = 12;

    /** So many learners are folded again after one request; a page that reads a whole cohort leaves the rest to the next. */
    private const AT_A_TIME = 10;

    /** @var array<int, true> learners whose folds are to be kept at the end of this request */
    private array $waiting = [];

    public function __construct(
        private readonly ShopKey $key,
        private readonly Application $app,
        private readonly Soundness $soundness,
    ) {
    }

    /**
     * @param  array<array-key, int>  $learners  ids
     * @param  Collection<array-key, Permit>  $permits
     * @param  list<SinceFold>  $read  what was read of them already
     * @param  Found|null  $found  what the last walk through the ledger found, where that was read already
     */
    public function records(
        array $learners,
        Collection $permits,
        \DateTimeImmutable $now,
        array $read = [],
        ?array $found = null,
    ): LearnerRecords {
        $found ??= $read === [] ? $this->soundness->kept() : null;
        $records = $whole = $unsound = [];
        foreach ($this->sinceFold($learners, $read) as $each) {
            $learner = $each['learner'];
            $lines = $each['lines'] ?? [];
            $sound = $this->soundness->isBeforeFault($found, $each['newest']);
            foreach ($lines as $line) {
                $sound = $this->soundness->isOurs($learner, $line) && $sound;
            }
            if (! $sound) {
                $unsound[$learner] = true;
            }
            $mine = self::unlessForged(
                $sound,
                fn (): ?array => $this->fromFolds($learner, array_column($each['folds'] ?? [], null, 'permit'), $lines, $permits, $now),
                $permits,
                $now,
            );
            if ($mine === null) {
                $whole[] = $learner;
            } else {
                $records[$learner] = $mine;
            }
            if ($sound && ($mine === null || count($lines) > self::LONG)) {
                $this->keepLater($learner);
            }
        }

        return new LearnerRecords($records + $this->fromLedger($whole, $permits, $now, $unsound), $unsound);
    }

    /**
     * @param  array<array-key, int>  $learners
     * @param  list<SinceFold>  $read
     * @return list<SinceFold>
     */
    private function sinceFold(array $learners, array $read): array
    {
        $read = array_values(array_filter($read, static fn (array $each): bool => in_array($each['learner'], $learners, true)));
        $others = array_values(array_diff($learners, array_column($read, 'learner')));
        if ($others === []) {
            return $read;
        }
        /** @var list<\stdClass> $rows */
        $rows = DB::select('SELECT competency_since_fold(id) AS found FROM unnest(?::bigint[]) id', ['{'.implode(',', $others).'}']);

        foreach ($rows as $row) {
            /** @var SinceFold $found */
            $found = json_decode(Given::text($row->found), true, 64, JSON_THROW_ON_ERROR);
            $read[] = $found;
        }

        return $read;
    }

    /** Writes down what a learner's lines come to, so that the next reader has less to read. */
    public function keep(int $learner, \DateTimeImmutable $now): void
    {
        $entries = self::entries($learner);
        // Never of lines that are not ours: a sealed fold would speak for them.
        if ($entries->contains(fn (LedgerEntry $entry): bool => ! $this->soundness->isOurs($learner, $entry->stored()))) {
            return;
        }
        foreach ($entries->isEmpty() ? [] : Permit::query()->get()->modelKeys() as $permit) {
            $fold = self::make($entries, $permit, $now);
            // Whoever folded further meanwhile is not set back.
            DB::statement(
                'INSERT INTO competency_folds (learner_id, permit_id, seq, state, seal) VALUES (?, ?, ?, ?, ?)
                ON CONFLICT (learner_id, permit_id) DO UPDATE SET seq = excluded.seq, state = excluded.state, seal = excluded.seal
                WHERE competency_folds.seq <= excluded.seq',
                [$learner, $permit, $fold['seq'], $fold['state'], $this->seal($learner, $permit, $fold['seq'], $fold['state'])],
            );
        }
    }

    /**
     * Holds every fold against the ledger; those that say anything else are thrown away.
     *
     * @return list<Message> what was found, in words
     */
    public function verify(\DateTimeImmutable $now): array
    {
        $faults = [];
        foreach (DB::table('competency_folds')->distinct()->orderBy('learner_id')->pluck('learner_id') as $each) {
            $learner = Given::whole($each);
            // The folds first: lines that come meanwhile stand after them.
            $folds = DB::table('competency_folds')->where('learner_id', $learner)->get();
            $entries = self::entries($learner);
            foreach ($folds as $row) {
                [$permit, $seq, $state] = [Given::whole($row->permit_id), Given::whole($row->seq), Given::text($row->state)];
                $upTo = $entries->where('seq', '<=', $seq);
                $right = $this->isOurs($learner, $permit, $seq, $state, Given::text($row->seal))
                    && ($this->isOldMake($state) || self::make($upTo, $permit, $now)['state'] === $state);
                if (! $right) {
                    DB::table('competency_folds')->where('learner_id', $learner)->where('permit_id', $permit)->delete();
                    $faults[] = Message::of('competency.ledger.fold', [
                        'learner' => $learner, 'permit' => $permit, 'line' => $seq,
                    ]);
                }
            }
        }

        return $faults;
    }

    /**
     * @param  Collection<int, LedgerEntry>  $entries  of one learner, in sequence
     * @return array{seq: int, state: string}
     */
    private static function make(Collection $entries, int $permit, \DateTimeImmutable $now): array
    {
        $folded = Folded::of(self::ledger($entries, $permit), $now);
        $stands = $folded->last === null ? 0 : (int) $entries->firstWhere('id', $folded->last)?->seq;
        $pending = self::about($entries, $permit)->first(static fn (LedgerEntry $entry): bool => $entry->seq > $stands);

        return [
            // Lines about other permits change nothing here, so it stands at whatever is just before its own next line.
            'seq' => (int) ($pending === null ? $entries->last()?->seq : $entries->where('seq', '<', $pending->seq)->last()?->seq),
            'state' => json_encode(
                $folded->toArray(),
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
            ),
        ];
    }

    /**
     * @param  array<int, Kept>  $kept  by permit
     * @param  list<Stored>  $lines
     * @param  Collection<array-key, Permit>  $permits
     * @return array<int, Record>|null null when only the whole ledger can say
     */
    private function fromFolds(int $learner, array $kept, array $lines, Collection $permits, \DateTimeImmutable $now): ?array
    {
        $records = [];
        foreach ($permits as $permit) {
            $fold = $kept[$permit->id] ?? null;
            if ($fold === null && $kept !== []) {
                return null;
            }
            $after = [];
            foreach ($lines as $line) {
                if ($line['seq'] > ($fold['seq'] ?? 0) && ($line['permit'] === null || $line['permit'] === $permit->id)) {
                    $after[] = new Line(
                        $line['id'],
                        new \DateTimeImmutable($line['at']),
                        self::read($line['type'], $line['data']),
                    );
                }
            }
            // Nothing was kept of them yet: these are all their lines.
            $record = $fold === null ? Ledger::of($after)->asOf($now) : $this->open($learner, $fold)?->recordWith($after, $now);
            if ($record === null) {
                return null;
            }
            $records[$permit->id] = $record;
        }

        return $records;
    }

    /** @throws CoreException when it is of a kind or version that is not known */
    private static function read(string $type, string $data): Entry
    {
        return Entries::read(Fields::of([...Given::fields(json_decode($data, true, 64, JSON_THROW_ON_ERROR)), 'type' => $type]));
    }

    /** @param  Kept  $fold */
    private function open(int $learner, array $fold): ?Folded
    {
        if (! $this->isOurs($learner, $fold['permit'], $fold['seq'], $fold['state'], $fold['seal'])) {
            return null;
        }
        try {
            /** @var array<string, mixed> $state */
            $state = json_decode($fold['state'], true, 64, JSON_THROW_ON_ERROR);

            return Folded::fromFields(Fields::of($state));
        } catch (CoreException|\JsonException) {
            return null;
        }
    }

    /**
     * A line that is not ours need not even be readable: whoever has one has nothing, and the gate says that their record is not sound.
     *
     * @param  \Closure(): (array<int, Record>|null)  $read
     * @param  Collection<array-key, Permit>  $permits
     * @return array<int, Record>|null
     *
     * @throws CoreException when a line that is ours is of a kind or version that is not known
     */
    private static function unlessForged(bool $sound, \Closure $read, Collection $permits, \DateTimeImmutable $now): ?array
    {
        try {
            return $read();
        } catch (CoreException|\JsonException $unreadable) {
            return $sound ? throw $unreadable
                : $permits->mapWithKeys(static fn (Permit $permit): array => [$permit->id => Ledger::of([])->asOf($now)])->all();
        }
    }

    /**
     * @param  list<int>  $learners
     * @param  Collection<array-key, Permit>  $permits
     * @param  array<int, true>  $unsound  filled with those of whom a line is not ours
     * @return array<int, array<int, Record>>
     */
    private function fromLedger(array $learners, Collection $permits, \DateTimeImmutable $now, array &$unsound): array
    {
        $records = [];
        $entries = $learners === []
            ? new Collection
            : LedgerEntry::query()->whereIn('learner_id', $learners)->orderBy('seq')->get()->groupBy('learner_id');
        foreach ($learners as $learner) {
            foreach ($entries[$learner] ?? [] as $entry) {
                if (! $this->soundness->isOurs($learner, $entry->stored())) {
                    $unsound[$learner] = true;
                }
            }
            $records[$learner] = self::unlessForged(
                ! isset($unsound[$learner]),
                static fn (): array => $permits->mapWithKeys(static fn (Permit $permit): array => [
                    $permit->id => self::ledger($entries[$learner] ?? new Collection, $permit->id)->asOf($now),
                ])->all(),
                $permits,
                $now,
            ) ?? [];
        }

        return $records;
    }

    /** @param  Collection<int, LedgerEntry>  $entries  of one learner, in the ledger's sequence */
    public static function ledger(Collection $entries, int $permit): Ledger
    {
        return Ledger::of(self::about($entries, $permit)->map(static fn (LedgerEntry $entry): Line => $entry->line()));
    }

    /** @return Collection<int, LedgerEntry> of one learner, in the ledger's sequence */
    private static function entries(int $learner): Collection
    {
        return LedgerEntry::query()->where('learner_id', $learner)->orderBy('seq')->get();
    }

    /**
     * @param  Collection<int, LedgerEntry>  $entries
     * @return Collection<int, LedgerEntry> those about a permit, or about every one
     */
    private static function about(Collection $entries, int $permit): Collection
    {
        return $entries->filter(static fn (LedgerEntry $entry): bool => $entry->permit_id === null || $entry->permit_id === $permit);
    }

    private function keepLater(int $learner): void
    {
        if (count($this->waiting) >= self::AT_A_TIME) {
            return;
        }
        if ($this->waiting === []) {
            $this->app->terminating(function (): void {
                $learners = array_keys($this->waiting);
                $this->waiting = [];
                foreach ($learners as $each) {
                    $this->keep($each, now()->toImmutable());
                }
            });
        }
        $this->waiting[$learner] = true;
    }

    private function seal(int $learner, int $permit, int $seq, string $state): string
    {
        return $this->key->seal("fold\n$learner\n$permit\n$seq\n$state");
    }

    private function isOurs(int $learner, int $permit, int $seq, string $state, string $seal): bool
    {
        return hash_equals($this->seal($learner, $permit, $seq, $state), $seal);
    }

    private function isOldMake(string $state): bool
    {
        return ! str_starts_with($state, '{"v":'.Folded::VERSION.',');
    }
}
