<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use MillStep\Core\Competency\HashChain;

/** Adds one entry to the ledger, chained to the one before. The only writer. */
final class RecordEntry
{
    /** The lock that keeps two writers from following the same entry; any number of the application's own. */
    private const CHAIN_LOCK = 7_301_155;

    /**
     * @param  array<string, mixed>  $data  what the type needs: see shared shapes of `standing`
     * @param  string|null  $id  of the caller's making, where the entry may be sent twice
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
        return DB::transaction(function () use ($learner, $permit, $type, $data, $by, $happenedAt, $id): LedgerEntry {
            DB::select('SELECT pg_advisory_xact_lock(?)', [self::CHAIN_LOCK]);
            $known = $id === null ? null : LedgerEntry::query()->where('id', $id)->first();
            if ($known !== null) {
                return $known;
            }
            $now = CarbonImmutable::now('UTC');
            $entry = new LedgerEntry([
                'id' => $id ?? (string) Str::uuid7(),
                'learner_id' => $learner->id,
                'permit_id' => $permit?->id,
                'type' => $type,
                'data' => json_encode((object) $data, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION),
                'recorded_by' => $by->id,
                'happened_at' => ($happenedAt ?? $now)->utc(),
                'recorded_at' => $now,
                'previous_hash' => LedgerEntry::query()->latest('seq')->value('hash') ?? HashChain::START,
            ]);
            $entry->hash = $entry->expectedHash();
            $entry->save();

            return $entry;
        });
    }
}
