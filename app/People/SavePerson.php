<?php

declare(strict_types=1);

namespace App\People;

use App\People\Events\PersonChanged;
use App\People\Events\RoleChanged;
use App\Support\PowerLock;
use App\Support\Refusal;
use Illuminate\Support\Facades\DB;

/**
 * Somebody new, or what is known of somebody. A new one has no password until they follow their invitation.
 *
 * @phpstan-type Person array{name: string, email: string, role: string, cohorts?: list<int>, all_cohorts?: bool,
 *     born_on?: string|null, guardian_acknowledged_on?: string|null, language?: string, units?: string, sis_id?: string|null}
 */
final class SavePerson
{
    /**
     * @param  Person  $given
     *
     * @throws Refusal `no_longer_lead`, `person_forgotten`, `own_role` or `has_a_record`
     */
    public function __invoke(?User $person, array $given, User $by): User
    {
        return DB::transaction(function () use ($person, $given, $by): User {
            $role = Role::from($given['role']);
            // Another role takes power away: whoever is deciding is waited for. A name, a class or somebody new takes none from anybody.
            $person === null || $person->role === $role || PowerLock::forRestriction();
            $by->checkStillLeads();
            $person = $person === null ? null : User::query()->lockForUpdate()->findOrFail($person->id);
            $person?->checkIsKnown();
            $changesRole = $person !== null && $person->role !== $role;
            if ($changesRole) {
                // Also where somebody else changed it since it was read.
                PowerLock::forRestriction();
                $this->checkRole($person, $role, $by);
            }
            $person ??= new User(['active' => true]);
            $stood = $person->email ?? null;
            $person->fill([
                ...array_intersect_key($given, array_flip([
                    'name', 'email', 'born_on', 'guardian_acknowledged_on', 'language', 'units', 'sis_id',
                ])),
                'role' => $role,
                'all_cohorts' => $role === Role::Instructor && ($given['all_cohorts'] ?? false),
            ])->save();
            if ($stood !== $person->email) {
                // What was mailed to either address opens nothing any more.
                Invite::forget($person->email, ...$stood === null ? [] : [$stood]);
            }
            if (isset($given['cohorts'])) {
                $person->cohorts()->sync(Cohort::query()->whereIn('id', $given['cohorts'])->pluck('id'));
            }
            PersonChanged::dispatch($person->id);
            $changesRole && RoleChanged::dispatch($person->id, $by->id);

            return $person->refresh();
        });
    }

    private function checkRole(User $person, Role $role, User $by): void
    {
        if ($person->is($by)) {
            throw Refusal::forbidden('own_role');
        }
        // A record says "learner" on every line; whoever comes to teach gets an account of their own.
        if ($person->role === Role::Learner && DB::table('competency_ledger')->where('learner_id', $person->id)->exists()) {
            throw Refusal::because('has_a_record', ['name' => $person->name]);
        }
        // What they were allowed to see ends with the role, also on pages that are open.
        DB::table('people_sessions')->where('user_id', $person->id)->delete();
    }
}
