<?php

declare(strict_types=1);

namespace App\Competency\Familiar;

use App\Competency\LedgerEntry;
use App\Competency\RecordEntry;
use App\People\User;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/**
 * Once, when a shop's programme first asks who knows which machine: whoever has used one in the year before knows it. Nobody signs that;
 * each line says what it rests on. Run at every start, it writes nothing a second time.
 */
final class KeepUsedBefore extends Command
{
    /** Any number of the application's own. */
    private const LOCK = 7_301_157;

    protected $signature = 'competency:used-before';

    protected $description = 'Write down once who has used which machine in the year before';

    public function handle(RecordEntry $record): int
    {
        $written = DB::transaction(function () use ($record): int {
            DB::select('SELECT pg_advisory_xact_lock(?)', [self::LOCK]);
            if (DB::table('competency_used_before')->exists()) {
                return 0;
            }
            $now = CarbonImmutable::now();
            DB::table('competency_used_before')->insert(['at' => $now]);
            $used = self::used($now);
            foreach ($used as [$person, $machine]) {
                $record($person, null, 'familiarised', ['machine' => $machine, 'because' => 'used_before'], $person, $now);
            }

            return count($used);
        });
        $written === 0 || $this->info("$written machines count as known to whoever used them in the year before.");

        return self::SUCCESS;
    }

    /** @return list<array{User, string}> each person and machine once */
    private static function used(CarbonImmutable $now): array
    {
        $machines = Machine::query()->pluck('slug')->all();
        $people = User::query()->get()->keyBy('id');
        $entries = LedgerEntry::query()->whereIn('type', ['machine_time', 'practice_confirmed', 'corrected'])
            ->where('happened_at', '>=', $now->subYear())->orderBy('seq')->get();
        $corrected = LedgerEntry::corrected($entries);
        $used = [];
        foreach ($entries->where('type', '!=', 'corrected') as $entry) {
            $said = $entry->details();
            $machine = $said['machine'] ?? null;
            // A turn that nobody confirmed proves nobody at the machine.
            $proves = ! isset($corrected[$entry->id]) && ($said['confirmed'] ?? true) === true;
            if ($proves && is_string($machine) && in_array($machine, $machines, true) && isset($people[$entry->learner_id])) {
                $used["$entry->learner_id $machine"] = [$people[$entry->learner_id], $machine];
            }
        }

        return array_values($used);
    }
}
