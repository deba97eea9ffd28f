<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\Pin;
use App\People\User;
use App\Support\Given;
use App\Support\Refusal;
use Illuminate\Console\Command;

/**
 * Takes over, once, the lines from before there was a seal: walks them from the start to the first sealed one and writes down, sealed,
 * how many they are and where they end. From then on they count while they are that to the letter.
 */
final class AdoptLines extends Command
{
    protected $signature = 'competency:adopt {email : of the lead} {--pin= : asked for where it is not given}';

    protected $description = 'Take over the lines of the ledger from before there was a seal';

    public function handle(Soundness $soundness, RecordEntry $record, Pin $pin): int
    {
        $lead = User::query()->where('email', $this->argument('email'))->first();
        if ($lead === null || ! $lead->leads()) {
            $this->error('That is not the address of somebody who leads the shop.');

            return self::FAILURE;
        }
        $given = $this->option('pin');
        try {
            $pin->confirm($lead, is_string($given) ? $given : Given::text($this->secret('Signing PIN')));
        } catch (Refusal $refusal) {
            $this->error($refusal->getMessage());

            return self::FAILURE;
        }
        if (LedgerEntry::query()->where('type', 'adopted')->exists()) {
            $this->info('They were taken over before.');

            return self::SUCCESS;
        }
        $prefix = $soundness->prefix();
        if ($prefix === null || $prefix[0] === 0) {
            $this->error($prefix === null ? 'The chain of those lines is broken; nothing was taken over. Run competency:verify.'
                : 'There are none: every line has a seal.');

            return self::FAILURE;
        }
        $record($lead, null, 'adopted', ['count' => $prefix[0], 'hash' => $prefix[1]], $lead);
        $this->info("$prefix[0] lines from before there was a seal were taken over.");

        return self::SUCCESS;
    }
}
