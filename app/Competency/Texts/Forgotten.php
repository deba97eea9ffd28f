<?php

declare(strict_types=1);

namespace App\Competency\Texts;

use App\Competency\Anchors;
use App\Competency\LedgerEntry;
use App\Competency\RecordEntry;
use App\Competency\ShopKey;
use App\People\Remembered;
use App\People\User;
use App\Support\DatabaseClock;
use App\Support\Given;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Who was forgotten: a sealed line of the ledger says so by number, and a file beside the anchors, from which a restored backup
 * forgets them again before the shop starts.
 */
final class Forgotten implements Remembered
{
    public function __construct(private readonly Anchors $anchors, private readonly RecordEntry $record, private readonly ShopKey $key)
    {
    }

    public function file(): string
    {
        return dirname($this->anchors->file()).'/forgotten.jsonl';
    }

    public function note(User $person): void
    {
        if ($this->noted()->contains($person)) {
            return;
        }
        // A restored database may give the same number to somebody else: since when they were here goes with it.
        $since = self::since($person);
        $at = DatabaseClock::now()->toIso8601ZuluString();
        @mkdir(dirname($this->file()), 0700, true);
        $line = json_encode(
            ['person' => $person->id, 'since' => $since, 'at' => $at, 'seal' => $this->seal($person->id, $since, $at)],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES,
        );
        if (@file_put_contents($this->file(), "$line\n", FILE_APPEND | LOCK_EX) === false) {
            throw new \RuntimeException("It could not be written down beside the anchors, in {$this->file()}, so nobody was forgotten.");
        }
    }

    /** @return Collection<int, User> who was; lines that are not this shop's, or speak of somebody else of that number, say nothing */
    public function noted(): Collection
    {
        $since = [];
        foreach (is_file($this->file()) ? file($this->file(), FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] : [] as $line) {
            $said = Given::fields(json_decode($line, true));
            [$person, $from, $at] = [Given::whole($said['person'] ?? 0), Given::text($said['since'] ?? ''), Given::text($said['at'] ?? '')];
            if (hash_equals($this->seal($person, $from, $at), Given::text($said['seal'] ?? ''))) {
                $since[$person][] = $from;
            }
        }

        return User::query()->whereKey(array_keys($since))->orderBy('id')->get()
            ->filter(static fn (User $person): bool => in_array(self::since($person), $since[$person->id], true))->values();
    }

    public function forget(User $person, User $by): void
    {
        DB::transaction(function () use ($person, $by): void {
            // One at a time, whoever else forgets them too.
            User::query()->lockForUpdate()->findOrFail($person->id);
            if (! LedgerEntry::query()->where('learner_id', $person->id)->where('type', 'forgotten')->exists()) {
                ($this->record)($person, null, 'forgotten', [], $by);
            }
            $first = LedgerEntry::query()->where('learner_id', $person->id)->where('format', 1)
                ->whereNotNull('data->reason')->orderBy('seq')->get();
            foreach ($first as $entry) {
                $this->blank($entry, $person, $by);
            }
            DB::statement('SELECT competency_forget(?)', [$person->id]);
        });
    }

    /** @return array<int, true> of whom a sealed line says so, by person */
    public function said(): array
    {
        $said = [];
        foreach (LedgerEntry::query()->where('type', 'forgotten')->orderBy('seq')->lazy(500) as $entry) {
            if (hash_equals($entry->expectedHash(), $entry->hash) && hash_equals($this->key->seal($entry->hash), (string) $entry->seal)) {
                $said[$entry->learner_id] = true;
            }
        }

        return $said;
    }

    /** Takes the words out of a line that still holds them, after another line has said so. */
    private function blank(LedgerEntry $entry, User $person, User $by): void
    {
        $left = clone $entry;
        $left->data = json_encode(
            (object) array_diff_key($entry->details(), ['reason' => 0]),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
        );
        ($this->record)($person, null, 'blanked', [
            'seq' => $entry->seq,
            // Keyed, so that nobody tries words on it.
            'hash_of_text' => $this->key->seal("blanked\n{$entry->data}"),
            'left' => $left->expectedHash(),
        ], $by);
        DB::statement('SELECT competency_blank(?, ?)', [$entry->seq, $left->data]);
    }

    private static function since(User $person): string
    {
        return $person->created_at->toIso8601ZuluString();
    }

    private function seal(int $person, string $since, string $at): string
    {
        return $this->key->seal("forgotten\n$person\n$since\n$at");
    }
}
