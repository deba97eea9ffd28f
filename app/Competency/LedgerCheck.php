<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Texts\Forgotten;
use App\Competency\Texts\LineWords;
use App\Support\Given;
use MillStep\Core\Border\Message;
use MillStep\Core\Competency\HashChain;

/**
 * Walks the whole ledger: each line against the one before, its seal against the shop's key, the whole against its anchors, and
 * the anchors against what is known of them.
 */
final class LedgerCheck
{
    /** After so many days that the server ran, an anchor says nothing of late. */
    private const STALE_DAYS = 2;

    public function __construct(
        private readonly ShopKey $key,
        private readonly Anchors $anchors,
        private readonly Soundness $soundness,
        private readonly Forgotten $forgotten,
    ) {
    }

    public function walk(): LedgerFound
    {
        try {
            $anchors = $this->anchors->read();
        } catch (\RuntimeException $problem) {
            // Who wrote into the anchors' file can prove nothing by it; the lines before the newest known anchor stand by their seals.
            return $this->broken(
                Message::of('competency.ledger.unreadable', ['problem' => $problem->getMessage()]),
                [],
                $this->anchors->knownLines(),
            );
        }
        $heads = array_column($anchors, 'hash', 'count');
        [$count, $previous, $sealed] = [0, HashChain::START, false];
        $adopted = null;
        foreach (LedgerEntry::query()->orderBy('seq')->lazy(500) as $entry) {
            $fault = match (true) {
                $entry->previous_hash !== $previous || ! $this->soundness->holds($entry) => 'broken',
                // Lines from before the seal was there stand first; after a sealed one every line has one.
                ($sealed || $entry->seal !== null) && ! hash_equals($this->key->seal($entry->hash), (string) $entry->seal) => 'forged',
                isset($heads[$count + 1]) && $heads[$count + 1] !== $entry->hash => 'written_anew',
                default => null,
            };
            if ($entry->type === 'adopted' && $fault === null) {
                $adopted ??= $entry->details();
            }
            if ($fault !== null) {
                return LedgerFound::broken(Message::of("competency.ledger.$fault", [
                    'line' => $entry->seq, 'type' => $entry->type, 'at' => $entry->happened_at->toIso8601ZuluString(),
                ]), $entry->seq, $count, count($anchors));
            }
            [$sealed, $previous] = [$entry->seal !== null, $entry->hash];
            $count++;
        }
        if ($adopted !== null && $this->soundness->prefix() !== [$adopted['count'], $adopted['hash']]) {
            $what = Message::of('competency.ledger.adopted_other', ['count' => Given::whole($adopted['count'])]);

            return LedgerFound::broken($what, 0, $count, count($anchors));
        }
        $most = $heads === [] ? 0 : max(array_keys($heads));
        if ($most > $count) {
            return $this->broken(Message::of('competency.ledger.cut_off', ['known' => $most, 'found' => $count]), $anchors, $count);
        }
        $gone = $this->anchors->gone($anchors);
        if ($gone !== null) {
            return $this->broken(
                Message::of('competency.ledger.anchor_gone', ['number' => $gone['number'], 'at' => $gone['at']]),
                $anchors,
                $this->anchors->knownLines(),
            );
        }

        return $this->wordsBeside($count, count($anchors)) ?? $this->age($anchors, $count);
    }

    /** Whether what stands beside the lines is what they are committed to; what was forgotten is not missed. */
    private function wordsBeside(int $lines, int $anchors): ?LedgerFound
    {
        $forgotten = $this->forgotten->said();
        foreach (LedgerEntry::query()->whereNotNull('by_subject')->orderBy('seq')->lazy(500)->chunk(500) as $entries) {
            [$entry, $fault] = LineWords::fault($entries->collect(), $forgotten) ?? [null, null];
            if ($entry !== null) {
                return LedgerFound::words(Message::of("competency.ledger.$fault", [
                    'line' => $entry->seq, 'type' => $entry->type, 'at' => $entry->happened_at->toIso8601ZuluString(),
                ]), $lines, $anchors);
            }
        }

        return null;
    }

    /** @param  list<array{count: int, hash: string, at: string, signature: string}>  $anchors */
    private function age(array $anchors, int $count): LedgerFound
    {
        $newest = max(['', ...array_column($anchors, 'at')]);
        if ($newest === '') {
            return $count === 0 ? LedgerFound::sound(0, 0)
                : LedgerFound::none(Message::of('competency.ledger.none', ['lines' => $count]), $count);
        }
        $days = $this->anchors->daysSince($newest);

        return $days < self::STALE_DAYS ? LedgerFound::sound($count, count($anchors))
            : LedgerFound::stale(Message::of('competency.ledger.stale', ['at' => $newest, 'days' => $days]), $count, count($anchors));
    }

    /**
     * Broken behind a number of lines that stand.
     *
     * @param  list<array{count: int, hash: string, at: string, signature: string}>  $anchors
     */
    private function broken(Message $what, array $anchors, int $standing): LedgerFound
    {
        $last = $standing === 0 ? 0 : Given::whole(LedgerEntry::query()->orderBy('seq')->skip($standing - 1)->value('seq') ?? 0);

        return LedgerFound::broken($what, $last + 1, $standing, count($anchors));
    }
}
