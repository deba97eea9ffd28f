<?php

declare(strict_types=1);

namespace App\People;

use App\People\Events\PersonDeactivated;
use App\People\Events\PersonReactivated;
use App\Support\PowerLock;
use App\Support\Refusal;
use Illuminate\Support\Facades\DB;

/** Somebody is no longer here, or is here again. Their sessions end at once, and so does a turn they have. */
final class ChangeActive
{
    /** @throws Refusal `own_account`, `person_forgotten` or `no_longer_lead` */
    public function __invoke(User $person, bool $active, User $by): User
    {
        if ($person->is($by)) {
            throw Refusal::forbidden('own_account');
        }

        return DB::transaction(static function () use ($person, $active, $by): User {
            $active || PowerLock::forRestriction();
            $by->checkStillLeads();
            $person = User::query()->lockForUpdate()->findOrFail($person->id);
            $active && $person->checkIsKnown();
            $person->update(['active' => $active]);
            $active || DB::table('people_sessions')->where('user_id', $person->id)->delete();
            $active ? PersonReactivated::dispatch($person->id) : PersonDeactivated::dispatch($person->id);

            return $person;
        });
    }
}
