<?php

declare(strict_types=1);

namespace App\Competency;

use Illuminate\Console\Command;

/** Signs the head of the chain and writes it where the database cannot reach: every hour that the server runs, and with every backup. */
final class AnchorLedger extends Command
{
    protected $signature = 'competency:anchor
        {--first : only where the ledger is empty and there is none yet; else say what is missing}
        {--put-back : write those that the database knows to where they are gone from}';

    protected $description = 'Sign the head of the ledger and write it to the anchors\' places';

    public function handle(Anchors $anchors): int
    {
        if ($this->option('put-back')) {
            $this->info(sprintf('%d anchors were put back.', $anchors->putBack()));

            return self::SUCCESS;
        }
        if ($this->option('first') && LedgerEntry::query()->exists()) {
            $known = count($anchors->known());
            $this->warn($known > 0
                ? "$known anchors are gone from {$anchors->file()}. Find out who had that file; "
                    .'bin/artisan competency:anchor --put-back writes those that the database knows.'
                : "There is no anchor in {$anchors->file()}. The next one is written within the hour.");

            return self::SUCCESS;
        }
        $head = $anchors->write();
        // The first one of an empty shop is nothing to read about.
        $this->option('first') || $this->info("$head->count lines, head {$head->hash}, written to {$anchors->file()}");

        return self::SUCCESS;
    }
}
