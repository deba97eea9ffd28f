<?php

declare(strict_types=1);

namespace App\People;

use App\Language\Sentences;
use App\People\Events\PersonForgotten;
use App\Policy\Shop;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Forgets somebody who is no longer here: name, address and what others wrote about them. What they did, when, and how it was judged
 * stays, and the ledger's chain holds. It cannot be undone, also not by a backup. In steps that are each safe to repeat: noted outside
 * first, words and name, then what is sealed in the ledger; whoever finds it half done does it again.
 */
final class ForgetPerson
{
    public function __construct(private readonly Remembered $remembered, private readonly Pin $pin)
    {
    }

    /** @throws Refusal `own_account`, `still_active`, `no_longer_lead` or a PIN's */
    public function __invoke(User $person, User $by, #[\SensitiveParameter] string $pin): User
    {
        $this->pin->confirm($by, $pin);
        $by->checkStillLeads();
        if ($person->is($by)) {
            throw Refusal::forbidden('own_account', says: 'own_forgetting');
        }
        if ($person->active) {
            throw Refusal::because('still_active', ['name' => $person->name]);
        }
        $this->remembered->note($person);

        return $this->again($person, $by);
    }

    /** Where it was decided already: in a database that was put back. */
    public function again(User $person, User $by): User
    {
        DB::transaction(static function () use ($person): void {
            $person = User::query()->lockForUpdate()->findOrFail($person->id);
            $person->active && throw Refusal::because('still_active', ['name' => $person->name]);
            $other = Sentences::in(Shop::here()['language'])->sayCode('people.forgotten.name', ['number' => $person->id]);
            [$name, $mail] = [$person->name, $person->email];
            if ($person->forgotten_at === null) {
                $person->cohorts()->detach();
                $person->signsFor()->detach();
                $person->forceFill([
                    'forgotten_at' => CarbonImmutable::now(), 'name' => $other, 'email' => "forgotten-{$person->id}@nobody.invalid",
                    'password' => null, 'remember_token' => null, 'pin_hash' => null, 'pin_set_at' => null, 'pin_open_guess' => null,
                    'totp_secret' => null,
                    'totp_confirmed_at' => null, 'totp_used_step' => null, 'born_on' => null, 'guardian_acknowledged_on' => null,
                    'sis_id' => null, 'all_cohorts' => false, 'mail_when_waiting' => false, 'invited_at' => null, 'joined_at' => null,
                ])->save();
                // Every word of the shop is looked through: longer than an answer may take elsewhere.
                DB::statement('SET LOCAL statement_timeout = 0');
                DB::statement('SELECT people_forget(?, ?, ?, ?)', [$person->id, $name, $mail, $other]);
            }
        });
        $this->remembered->forget($person, $by);
        PersonForgotten::dispatch($person->id);

        return $person->refresh();
    }
}
