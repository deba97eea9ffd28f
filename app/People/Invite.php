<?php

declare(strict_types=1);

namespace App\People;

use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Auth\Passwords\PasswordBroker;
use Illuminate\Support\Facades\Password;

/** A letter with a link to set a password, good for some days; a new one makes the one before worthless. */
final class Invite
{
    public const BROKER = 'invitations';

    /** @throws Refusal `inactive` */
    public function __invoke(User $person): User
    {
        if (! $person->active) {
            throw Refusal::because('inactive', ['name' => $person->name]);
        }
        $broker = Password::broker(self::BROKER);
        assert($broker instanceof PasswordBroker);
        $person->notify(new Invitation($broker->createToken($person)));
        $person->update(['invited_at' => CarbonImmutable::now()]);

        return $person;
    }
}
