<?php

declare(strict_types=1);

namespace App\Records;

use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;

/** Throws away what is of no use any more. The ledger, the audit log, sheets, papers and turns are never among it. */
final class Prune extends Command
{
    protected $signature = 'records:prune';

    protected $description = 'Throw away letters, sessions, counts and badge reads that are over';

    public function handle(): int
    {
        $now = CarbonImmutable::now();
        $gone = [
            'letters' => DB::table('people_letters')->where('created_at', '<', $now->subDay())->delete(),
            'sessions' => DB::table('people_sessions')
                ->where('last_activity', '<', $now->subMinutes(Config::integer('session.lifetime'))->getTimestamp())
                ->delete(),
            'counts' => DB::table('cache')->where('expiration', '<', $now->getTimestamp())->delete(),
            'failed jobs' => DB::table('failed_jobs')->where('failed_at', '<', $now->subDays(14))->delete(),
            // What was answered to a badge stays for a year; the turn and its minutes stay for good.
            'badge reads' => DB::table('gate_reads')->where('read_at', '<', $now->subDays(400))->delete(),
        ];
        $this->info(implode(', ', array_map(static fn (string $what, int $count): string => "$count $what", array_keys($gone), $gone)));

        return self::SUCCESS;
    }
}
