<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Events\LedgerBroken;
use App\Language\Sentences;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use MillStep\Core\Border\Message;
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
            $fault = Message::of('competency.ledger.unreadable', ['problem' => $problem->getMessage()]);
        }
        if ($fault !== null) {
            $this->error(Sentences::in('en')->say($fault));
            LedgerBroken::dispatch($fault);

            return self::FAILURE;
        }
        $this->info(sprintf('%d lines, chain unbroken, sealed, %d anchors agree.', $count, count($heads)));

        return self::SUCCESS;
    }

    /** @param  array<int, string>  $heads  hash by count of lines */
    private function fault(ShopKey $key, array $heads, int &$count): ?Message
    {
        $previous = HashChain::START;
        $sealed = false;
        foreach (LedgerEntry::query()->orderBy('seq')->lazy(500) as $entry) {
            $line = ['line' => $entry->seq, 'type' => $entry->type, 'at' => $entry->happened_at->toIso8601ZuluString()];
            if ($entry->previous_hash !== $previous || $entry->hash !== $entry->expectedHash()) {
                return Message::of('competency.ledger.broken', $line);
            }
            // Lines from before the seal was there stand first; after a sealed one every line has one.
            if (($sealed || $entry->seal !== null) && ! hash_equals($key->seal($entry->hash), (string) $entry->seal)) {
                return Message::of('competency.ledger.forged', $line);
            }
            $sealed = $entry->seal !== null;
            $previous = $entry->hash;
            $count++;
            if (isset($heads[$count]) && $heads[$count] !== $previous) {
                return Message::of('competency.ledger.written_anew', $line);
            }
        }
        $most = $heads === [] ? 0 : max(array_keys($heads));

        return $most > $count ? Message::of('competency.ledger.cut_off', ['known' => $most, 'found' => $count]) : null;
    }
}
