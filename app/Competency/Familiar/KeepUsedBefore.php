<?php

declare(strict_types=1);

namespace App\Competency\Familiar;

use App\Competency\LedgerEntry;
use App\Competency\RecordEntry;
use App\People\User;
use App\Support\Given;
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
            $machines = Given::texts(Machine::query()->pluck('slug')->all());
            $written = 0;
            // One after the other, however long the ledger is; of whoever is forgotten nothing more is said.
            foreach (User::query()->whereNull('forgotten_at')->orderBy('id')->lazyById() as $person) {
                foreach (array_intersect($machines, self::used($person, $now)) as $machine) {
                    $record($person, null, 'familiarised', ['machine' => $machine, 'because' => 'used_before'], $person, $now);
                    $written++;
                }
            }

            return $written;
        });
        $written === 0 || $this->info("$written machines count as known to whoever used them in the year before.");

        return self::SUCCESS;
    }

    /** @return list<string> slugs of the machines that somebody was at for certain, also such as are not there any more */
    private static function used(User $person, CarbonImmutable $now): array
    {
        $entries = LedgerEntry::query()->where('learner_id', $person->id)
            ->whereIn('type', ['machine_time', 'practice_confirmed', 'corrected'])
            ->where('happened_at', '>=', $now->subYear())->orderBy('seq')->get();
        $corrected = LedgerEntry::corrected($entries);
        $used = [];
        foreach ($entries as $entry) {
            $said = $entry->details();
            // A turn that nobody confirmed proves nobody there; what takes one back counts whatever its date, what gives does not.
            $counts = $entry->happened_at <= $now && ! isset($corrected[$entry->id]) && ($said['confirmed'] ?? true) === true;
            if ($counts && isset($said['machine'])) {
                $used[] = Given::text($said['machine']);
            }
        }

        return array_values(array_unique($used));
    }
}
