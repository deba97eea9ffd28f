<?php

declare(strict_types=1);

namespace App\Competency;

use Illuminate\Console\Command;
use MillStep\Core\Competency\HashChain;

/** Walks the whole ledger and says where the chain is broken, if it is. */
final class VerifyLedger extends Command
{
    protected $signature = 'competency:verify';

    protected $description = 'Check that no line of the competency ledger was removed or altered';

    public function handle(): int
    {
        $previous = HashChain::START;
        $count = 0;
        foreach (LedgerEntry::query()->orderBy('seq')->lazy(500) as $entry) {
            if ($entry->previous_hash !== $previous || $entry->hash !== $entry->expectedHash()) {
                $this->error("The chain breaks at line {$entry->seq} ({$entry->type}, {$entry->happened_at->toIso8601ZuluString()}).");

                return self::FAILURE;
            }
            $previous = $entry->hash;
            $count++;
        }
        $this->info("$count lines, chain unbroken. Last hash: $previous");

        return self::SUCCESS;
    }
}
