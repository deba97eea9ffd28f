<?php

declare(strict_types=1);

namespace App\Gate;

use App\Competency\OpenTurns;
use App\Competency\Permit;
use App\Competency\Rules;
use App\Support\Given;
use App\Workshop\Machine;
use Illuminate\Support\Facades\DB;

/** Decides each open turn as it would be decided under other rules: by the same core, with nothing written. */
final class TurnsEnding implements OpenTurns
{
    public function __construct(private readonly ReviewTurn $review)
    {
    }

    public function endingUnder(Rules $rules, Permit $changed, ?array $machines): array
    {
        $ending = [];
        foreach (MachineSession::query()->whereNull('ended_at')->orderBy('machine_id')->pluck('machine_id') as $id) {
            $moment = DB::transaction(static fn (): Moment => Moment::at(Given::whole($id)));
            $session = $moment->open;
            if ($session === null) {
                continue;
            }
            $then = $moment->under($rules, self::taking($moment->machine, $rules, $changed, $machines), $changed);
            $reasons = $this->review->endsBecause($then);
            if ($reasons !== null) {
                $ending[] = [
                    'session' => $session->id, 'machine' => $moment->machine->name, 'person' => $session->user->name,
                    'since' => $session->started_at->toIso8601ZuluString(), 'reasons' => $reasons,
                ];
            }
        }

        return $ending;
    }

    /** @param  list<int>|null  $machines */
    private static function taking(Machine $machine, Rules $rules, Permit $changed, ?array $machines): Machine
    {
        $taken = Permit::ofMachine($machine);
        $stays = $machines === null ? $taken->contains($changed) : in_array($machine->id, $machines, true);
        $others = $taken->reject(static fn (Permit $permit): bool => $permit->is($changed))
            ->map(static fn (Permit $permit): Permit => $rules->permits[$permit->code] ?? $permit);

        return (clone $machine)->setRelation('permits', ($stays ? $others->push($changed) : $others)->values());
    }
}
