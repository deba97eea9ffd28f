<?php

declare(strict_types=1);

namespace App\Competency\Texts;

use App\Competency\LedgerEntry;
use App\People\User;
use App\Support\Given;
use App\Support\Refusal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What stands beside the ledger's lines, since it can be forgotten: free text and names. In the hashed part of a line stand only
 * keyed commitments to them, one under the key of whom it is about and one under the writer's.
 *
 * Under the first key lie the words and the name of whom they are about: with that key they are gone. Under the second lies the
 * writer's name alone.
 */
final class LineWords
{
    /**
     * Keeps words beside a line and commits the line to them, before its hash is made. Under the lock of the chain.
     *
     * @param  array<string, string>  $texts
     * @return \Closure(): void writes them, once the line stands
     *
     * @throws Refusal `person_forgotten`
     */
    public static function commit(LedgerEntry $entry, User $learner, User $by, array $texts): \Closure
    {
        $keys = Keys::made($learner->id, $by->id);
        if (! isset($keys[$learner->id], $keys[$by->id])) {
            throw Refusal::because('person_forgotten');
        }
        [$about, $writer] = [new Words($learner->name, $texts), new Words($by->name, $texts)];
        $entry->by_subject = $keys[$learner->id]->commitTo($about->of($entry->id));
        $entry->by_writer = $keys[$by->id]->commitTo($writer->of($entry->id));
        $row = [
            'line' => $entry->id,
            'about' => $keys[$learner->id]->seal($about->toText()),
            'writer' => $keys[$by->id]->seal((new Words($by->name))->toText()),
        ];

        return static function () use ($row): void {
            DB::table('competency_texts')->insert($row);
        };
    }

    /**
     * The words of lines, of those that can still be read.
     *
     * @param  Collection<array-key, LedgerEntry>  $entries
     * @return array<string, array<string, string>> texts by the payload's key, by the line's id
     */
    public static function of(Collection $entries): array
    {
        return array_map(static fn (array $read): array => $read['about']->texts ?? [], self::read($entries));
    }

    /**
     * What is wrong with the words beside these lines.
     *
     * @param  Collection<array-key, LedgerEntry>  $entries
     * @param  array<int, true>  $forgotten  who was, by person
     * @return array{LedgerEntry, 'key_gone'|'words_gone'|'words_altered'}|null
     */
    public static function fault(Collection $entries, array $forgotten): ?array
    {
        $committed = $entries->filter(static fn (LedgerEntry $entry): bool => $entry->by_subject !== null);
        $keys = Keys::of(self::people($committed));
        $read = self::read($committed, $keys);
        foreach ($committed as $entry) {
            [$subject, $writer] = [$keys[$entry->learner_id] ?? null, $keys[$entry->recorded_by] ?? null];
            $words = $read[$entry->id] ?? null;
            $fault = match (true) {
                $subject === null && ! isset($forgotten[$entry->learner_id]),
                $writer === null && ! isset($forgotten[$entry->recorded_by]) => 'key_gone',
                $words === null => 'words_gone',
                $subject !== null && ($words['about'] === null
                    || ! hash_equals((string) $entry->by_subject, $subject->commitTo($words['about']->of($entry->id)))),
                $writer !== null && $words['writer'] === null,
                $subject !== null && $writer !== null && ! hash_equals((string) $entry->by_writer, $writer->commitTo(
                    (new Words($words['writer']->name, $words['about']->texts))->of($entry->id),
                )) => 'words_altered',
                default => null,
            };
            if ($fault !== null) {
                return [$entry, $fault];
            }
        }

        return null;
    }

    /**
     * @param  Collection<array-key, LedgerEntry>  $entries
     * @param  array<int, Key>|null  $keys
     * @return array<string, array{about: Words|null, writer: Words|null}> by the line's id; null what cannot be read any more
     */
    private static function read(Collection $entries, ?array $keys = null): array
    {
        $rows = DB::table('competency_texts')->whereIn('line', $entries->pluck('id'))->get()->keyBy('line');
        $spoken = $entries->filter(static fn (LedgerEntry $entry): bool => $rows->has($entry->id));
        $keys ??= Keys::of(self::people($spoken));
        $read = [];
        foreach ($spoken as $entry) {
            $row = $rows[$entry->id] ?? new \stdClass;
            $read[$entry->id] = [
                'about' => self::open($keys[$entry->learner_id] ?? null, $row->about ?? null),
                'writer' => self::open($keys[$entry->recorded_by] ?? null, $row->writer ?? null),
            ];
        }

        return $read;
    }

    /**
     * @param  Collection<array-key, LedgerEntry>  $entries
     * @return list<int> who wrote them, and whom they are about
     */
    private static function people(Collection $entries): array
    {
        return array_values([
            ...$entries->map(static fn (LedgerEntry $entry): int => $entry->learner_id),
            ...$entries->map(static fn (LedgerEntry $entry): int => $entry->recorded_by),
        ]);
    }

    private static function open(?Key $key, mixed $sealed): ?Words
    {
        $text = $key?->open(Given::text($sealed));
        try {
            return $text === null ? null : Words::fromText($text);
        } catch (\JsonException) {
            return null;
        }
    }
}
