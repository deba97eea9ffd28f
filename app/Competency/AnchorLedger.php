<?php

declare(strict_types=1);

namespace App\Competency;

use Illuminate\Console\Command;

/** Signs the head of the chain and writes it where the database cannot reach: every day, and with every backup. */
final class AnchorLedger extends Command
{
    protected $signature = 'competency:anchor';

    protected $description = 'Sign the head of the ledger and write it to the anchors\' file';

    public function handle(Anchors $anchors): int
    {
        $head = $anchors->write();
        $this->info("$head->count lines, head {$head->hash}, written to {$anchors->file()}");

        return self::SUCCESS;
    }
}
