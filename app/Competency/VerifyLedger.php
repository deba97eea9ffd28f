<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Events\LedgerBroken;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use MillStep\Core\Competency\HashChain;

/**
 * Walks the whole ledger: each line against the one before, its seal against the shop's key, the whole against its
 * anchors, and what was kept of it against what it says.
 */
final class VerifyLedger extends Command
{
    protected $signature = 'competency:verify';

    protected $description = 'Check that no line of the competency ledger was removed, altered, forged or written anew';

    public function handle(ShopKey $key, Anchors $anchors, Folds $folds): int
    {
        $count = 0;
        $heads = [];
        try {
            $heads = $anchors->read();
            $fault = $this->fault($key, $heads, $count) ?? ($folds->verify(CarbonImmutable::now())[0] ?? null);
        } catch (\RuntimeException $problem) {
            $fault = $problem->getMessage();
        }
        if ($fault !== null) {
            $this->error($fault);
            LedgerBroken::dispatch($fault);

            return self::FAILURE;
        }
        $this->info(sprintf('%d lines, chain unbroken, sealed, %d anchors agree.', $count, count($heads)));

        return self::SUCCESS;
    }

    /** @param  array<int, string>  $heads  hash by count of lines */
    private function fault(ShopKey $key, array $heads, int &$count): ?string
    {
        $previous = HashChain::START;
        $sealed = false;
        foreach (LedgerEntry::query()->orderBy('seq')->lazy(500) as $entry) {
            $line = "line {$entry->seq} ({$entry->type}, {$entry->happened_at->toIso8601ZuluString()})";
            if ($entry->previous_hash !== $previous || $entry->hash !== $entry->expectedHash()) {
                return "The chain breaks at $line.";
            }
            // Lines from before the seal was there stand first; after a sealed one every line has one.
            if (($sealed || $entry->seal !== null) && ! hash_equals($key->seal($entry->hash), (string) $entry->seal)) {
                return "The chain breaks at $line: it was not written by this application.";
            }
            $sealed = $entry->seal !== null;
            $previous = $entry->hash;
            $count++;
            if (isset($heads[$count]) && $heads[$count] !== $previous) {
                return "The chain breaks at $line: the anchor knows another hash, so the ledger was written anew.";
            }
        }
        $most = $heads === [] ? 0 : max(array_keys($heads));

        return $most > $count ? "The chain breaks at its end: an anchor knows $most lines, $count are there. The tail was cut off." : null;
    }
}
