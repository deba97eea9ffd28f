<?php

declare(strict_types=1);

namespace App\Competency\Familiar;

use App\Competency\Authorisation;
use App\Competency\Events\MachineShown;
use App\Competency\LedgerEntry;
use App\Competency\Permit;
use App\Competency\RecordEntry;
use App\People\User;
use App\Support\Refusal;
use App\Workshop\Machine;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\Message;
use MillStep\Core\Workshop\MachineTrait;

/** Two minutes at one more machine: an instructor has shown what differs there, and says so. */
final class ShowMachine
{
    public function __construct(private readonly RecordEntry $record, private readonly MachinesKnown $known)
    {
    }

    /**
     * @param  list<string>  $shown  the traits that were shown, each one
     *
     * @throws Refusal `own_record`, `not_authorised`, `not_all_shown`, `id_used`
     */
    public function __invoke(User $learner, Machine $machine, User $by, array $shown, string $id): LedgerEntry
    {
        if ($learner->is($by)) {
            throw Refusal::forbidden('own_record', says: 'own_machine');
        }
        self::isAuthorised($by, $machine) || throw Refusal::forbidden('not_authorised', ['machine' => $machine->name], 'may_not_show');

        return DB::transaction(function () use ($learner, $machine, $by, $shown, $id): LedgerEntry {
            User::query()->whereKey($learner->id)->lockForUpdate()->firstOrFail();
            // What is sent again says what it said: whoever knows the machine since then would be compared with it otherwise.
            $before = LedgerEntry::query()->where('id', $id)->first();
            $said = $before?->type === 'familiarised' ? array_diff_key($before->details(), ['because' => 0, 'v' => 0])
                : $this->said($learner, $machine, $shown);

            $entry = ($this->record)($learner, null, 'familiarised', [...$said, 'machine' => $machine->slug, 'because' => 'entry'],
                $by, id: $id);
            MachineShown::dispatch($learner->id);

            return $entry;
        });
    }

    /** Whoever may sign for what the machine is for, and at this machine. */
    public static function isAuthorised(User $by, Machine $machine): bool
    {
        return self::isOneOf($by->teaches() ? Authorisation::of($by, Permit::ofMachine($machine)) : [], $machine);
    }

    /** @param  array<int, Authorisation>  $standing  by the permit's id */
    public static function isOneOf(array $standing, Machine $machine): bool
    {
        $here = array_intersect_key($standing, array_flip(Permit::ofMachine($machine)->modelKeys()));

        return array_filter($here, static fn (Authorisation $one): bool => $one->isAt($machine)) !== [];
    }

    /**
     * @param  list<string>  $shown
     * @return array<string, mixed>
     *
     * @throws Refusal `not_all_shown`
     */
    private function said(User $learner, Machine $machine, array $shown): array
    {
        $known = $this->known->one($learner, $machine);
        $missing = array_filter($known->toShow(), static fn (MachineTrait $trait): bool => ! in_array($trait->value, $shown, true));
        if ($missing !== []) {
            throw Refusal::because('not_all_shown', [
                'what' => array_values(array_map(
                    static fn (MachineTrait $trait): Message => Message::of("workshop.trait.{$trait->value}"),
                    $missing,
                )),
            ]);
        }

        return $known->said();
    }
}
