<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Events\LedgerBroken;
use App\Support\Given;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\Message;
use MillStep\Core\Competency\HashChain;

/**
 * Whether lines of the ledger are ours: hash and seal of each, and what the last walk through all of it found. A line that is not
 * ours opens nothing, and is told at once.
 *
 * Lines from before there was a seal stand before the first sealed one. They count as they are until the lead takes them over; then
 * they count while they are, to the letter, what was taken over.
 *
 * @phpstan-type Stored array{seq: int, id: string, permit: int|null, type: string, data: string, by: int, at: string,
 *     recorded_at: string, previous_hash: string, hash: string, seal: string|null, format: int, by_subject: string|null,
 *     by_writer: string|null}
 * @phpstan-type Found array{state: string, seal: string}
 */
final class Soundness
{
    private ?bool $unsealedHold = null;

    private int $firstSealed = PHP_INT_MAX;

    /** @var array<int, string>|null */
    private ?array $blanked = null;

    public function __construct(private readonly ShopKey $key)
    {
    }

    /** @param  Stored  $line */
    public function isOurs(int $learner, array $line): bool
    {
        $ours = $this->stands($line['seq'], $line['format'], LedgerEntry::hashOf($learner, $line), $line['hash'])
            && ($line['seal'] === null
                ? $this->countsUnsealed($line['seq'])
                : hash_equals($this->key->seal($line['hash']), $line['seal']));
        $ours || LedgerBroken::dispatch(Message::of('competency.ledger.not_ours', [
            'line' => $line['seq'], 'type' => $line['type'], 'learner' => $learner,
        ]));

        return $ours;
    }

    /**
     * Whether a line is what its hash is over, or is left as a sealed line says that it was when its words were taken out.
     *
     * @param  string  $found  hash of what stands there
     */
    public function stands(int $seq, int $format, string $found, string $hash): bool
    {
        return hash_equals($found, $hash) || ($format === 1 && hash_equals($this->blanked()[$seq] ?? '', $found));
    }

    /** @return array<int, string> the hash of each line whose words were taken out, as it is left */
    private function blanked(): array
    {
        if ($this->blanked === null) {
            $this->blanked = [];
            foreach (LedgerEntry::query()->where('type', 'blanked')->orderBy('seq')->lazy(500) as $entry) {
                $said = $entry->details();
                if ($this->isSealed($entry)) {
                    $this->blanked[Given::whole($said['seq'] ?? 0)] = Given::text($said['left'] ?? '');
                }
            }
        }

        return $this->blanked;
    }

    /**
     * Whether the last walk through the whole ledger left this learner's lines beyond doubt.
     *
     * @param  Found|null  $found  as it is kept; null where nothing was found yet
     * @param  int|null  $newest  the learner's last line
     */
    public function isBeforeFault(?array $found, ?int $newest): bool
    {
        $from = $this->faultFrom($found);

        return $from === null || $newest === null || $newest < $from;
    }

    /** Writes down from which line on the ledger is broken; null where it is whole. */
    public function keep(?int $brokenFrom): void
    {
        $state = json_encode(['broken_from' => $brokenFrom], JSON_THROW_ON_ERROR);
        DB::statement(
            'INSERT INTO competency_soundness (one, state, seal) VALUES (true, ?, ?)
            ON CONFLICT (one) DO UPDATE SET state = excluded.state, seal = excluded.seal',
            [$state, $this->key->seal("soundness\n$state")],
        );
    }

    /** @return Found|null */
    public function kept(): ?array
    {
        $row = DB::table('competency_soundness')->first();

        return $row === null ? null : ['state' => Given::text($row->state), 'seal' => Given::text($row->seal)];
    }

    /** How many lines from before there was a seal wait for the lead to take them over. */
    public static function toTakeOver(): int
    {
        return LedgerEntry::query()->where('type', 'adopted')->exists() ? 0 : LedgerEntry::query()->whereNull('seal')->count();
    }

    /** @param  Found|null  $found */
    private function faultFrom(?array $found): ?int
    {
        if ($found === null) {
            return null;
        }
        if (! hash_equals($this->key->seal("soundness\n{$found['state']}"), $found['seal'])) {
            // Whoever wrote that does not want it to be known what was found: then nothing is sound.
            return 0;
        }
        $from = Given::fields(json_decode($found['state'], true))['broken_from'] ?? null;

        return is_int($from) ? $from : null;
    }

    private function countsUnsealed(int $seq): bool
    {
        $this->unsealedHold ??= $this->unsealedHold();

        return $this->unsealedHold && $seq < $this->firstSealed;
    }

    /** Whether the lines before the first seal are those that it follows, and those that were taken over where somebody did. */
    private function unsealedHold(): bool
    {
        $sealed = LedgerEntry::query()->whereNotNull('seal')->orderBy('seq')->first();
        $this->firstSealed = $sealed === null ? PHP_INT_MAX : $sealed->seq;
        $prefix = $this->prefix();
        $adopted = LedgerEntry::query()->where('type', 'adopted')->whereNotNull('seal')->orderBy('seq')->first();

        return $prefix !== null && ($adopted === null
            || ($this->isSealed($adopted) && $prefix === [$adopted->details()['count'], $adopted->details()['hash']]));
    }

    public function holds(LedgerEntry $entry): bool
    {
        return $this->stands($entry->seq, $entry->format, $entry->expectedHash(), $entry->hash);
    }

    private function isSealed(LedgerEntry $entry): bool
    {
        return hash_equals($entry->expectedHash(), $entry->hash) && hash_equals($this->key->seal($entry->hash), (string) $entry->seal);
    }

    /**
     * The lines before the first sealed one, walked from the start to it: that one's own seal says that it follows them.
     *
     * @return array{int, string}|null how many and the last one's hash; null where the chain is broken, or the seal is made up
     */
    public function prefix(): ?array
    {
        [$count, $previous] = [0, HashChain::START];
        foreach (LedgerEntry::query()->orderBy('seq')->lazy(500) as $entry) {
            if ($entry->seal !== null) {
                return $entry->previous_hash === $previous && $this->isSealed($entry) ? [$count, $previous] : null;
            }
            if ($entry->previous_hash !== $previous || ! $this->holds($entry)) {
                return null;
            }
            $previous = $entry->hash;
            $count++;
        }

        return [$count, $previous];
    }
}
