<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Events\LedgerBroken;
use App\Competency\Events\LedgerDoubtful;
use App\Language\Sentences;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;

/** Says whether the ledger holds, writes down from where on it does not, and tells lead and auditor. */
final class VerifyLedger extends Command
{
    protected $signature = 'competency:verify';

    protected $description = 'Check that no line of the competency ledger was removed, altered, forged or written anew';

    public function handle(LedgerCheck $check, Folds $folds, Soundness $soundness): int
    {
        $found = $check->walk();
        $soundness->keep($found->brokenFrom);
        $fold = $found->state === 'broken' ? null : $folds->verify(CarbonImmutable::now())[0] ?? null;
        $fault = $found->state === 'broken' ? $found->what : $fold;
        if ($fault !== null) {
            $this->error(Sentences::in('en')->say($fault));
            LedgerBroken::dispatch($fault);

            return self::FAILURE;
        }
        if ($found->what !== null) {
            $this->warn(Sentences::in('en')->say($found->what));
            LedgerDoubtful::dispatch($found->what);
            if ($found->state === 'words') {
                return self::FAILURE;
            }
        }
        $this->info(sprintf('%d lines, chain unbroken, sealed, %d anchors agree.', $found->lines, $found->anchors));

        return self::SUCCESS;
    }
}
