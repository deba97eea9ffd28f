<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Texts\LineWords;
use App\People\User;
use App\Support\DatabaseClock;
use App\Support\Given;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\HashChain;
use MillStep\Core\Competency\Ledger\Entries;

/** Adds one entry to the ledger, chained to the one before and sealed with the shop's key. The only writer. */
final class RecordEntry
{
    /** The lock that keeps two writers from following the same entry; any number of the application's own. */
    private const CHAIN_LOCK = 7_301_155;

    public function __construct(private readonly ShopKey $key)
    {
    }

    /**
     * @param  array<string, mixed>  $data  what the type needs: see core/src/Competency/Ledger/Entry
     * @param  string|null  $id  of the caller's making, where the entry may be sent twice
     *
     * @throws Refusal `id_used` when the id stands for another entry
     * @throws \MillStep\Core\Border\InvalidInput when the core could not read the entry again
     */
    public function __invoke(
        User $learner,
        ?Permit $permit,
        string $type,
        array $data,
        User $by,
        ?CarbonImmutable $happenedAt = null,
        ?string $id = null,
    ): LedgerEntry {
        $kind = Entries::KINDS[$type] ?? null;
        $own = array_flip($kind === null ? [] : $kind::TEXTS);
        $texts = array_map(Given::text(...), array_filter(array_intersect_key($data, $own), static fn (mixed $text) => $text !== null));
        $text = self::json(array_diff_key($data, $own));
        Entries::read(Fields::of([...self::plain($text), 'type' => $type]));

        return DB::transaction(function () use ($learner, $permit, $type, $text, $texts, $by, $happenedAt, $id, $kind, $own): LedgerEntry {
            DB::select('SELECT pg_advisory_xact_lock(?)', [self::CHAIN_LOCK]);
            // After the wait, by the clock that everybody shares.
            $now = DatabaseClock::now();
            $known = $id === null ? null : LedgerEntry::query()->where('id', $id)->first();
            if ($known !== null) {
                return $known->says($learner, $permit, $type, $by)
                    && self::plainOf($known, $own) === $text && self::words($known) === $texts ? $known : throw Refusal::idUsed();
            }
            $last = LedgerEntry::query()->latest('seq')->first();
            $entry = new LedgerEntry([
                'id' => $id ?? (string) Str::uuid7(),
                'learner_id' => $learner->id,
                'permit_id' => $permit?->id,
                'type' => $type,
                'data' => $text,
                'recorded_by' => $by->id,
                'happened_at' => ($happenedAt ?? $now)->utc(),
                // A clock that was put back records nothing before what stands already.
                'recorded_at' => $last !== null && $last->recorded_at->greaterThan($now) ? $last->recorded_at->utc() : $now,
                'previous_hash' => $last->hash ?? HashChain::START,
            ]);
            $write = $texts !== [] || ($kind !== null && $kind::SIGNED) ? LineWords::commit($entry, $learner, $by, $texts) : null;
            $entry->hash = $entry->expectedHash();
            $entry->seal = $this->key->seal($entry->hash);
            $entry->save();
            $write === null || $write();

            return $entry;
        });
    }

    /**
     * What a line says without anybody's own words, which stand in those of the first form.
     *
     * @param  array<string, int>  $own
     */
    private static function plainOf(LedgerEntry $known, array $own): string
    {
        return $known->format === 1 ? self::json(array_diff_key($known->details(), $own)) : $known->data;
    }

    /** @param  array<string, mixed>  $data */
    private static function json(array $data): string
    {
        return json_encode((object) $data, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION);
    }

    /** @return array<string, string> */
    private static function words(LedgerEntry $known): array
    {
        return LineWords::of(new Collection([$known]))[$known->id] ?? [];
    }

    /** @return array<string, mixed> */
    private static function plain(string $json): array
    {
        /** @var array<string, mixed> */
        return json_decode($json, true, 64, JSON_THROW_ON_ERROR);
    }
}
