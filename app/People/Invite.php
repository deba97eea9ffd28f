<?php

declare(strict_types=1);

namespace App\People;

use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Auth\Passwords\PasswordBroker;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;

/** A letter with a link to set a password, good for some days; a new one makes the one before worthless. */
final class Invite
{
    public const BROKER = 'invitations';

    /**
     * @return string|null the link, where no mail server is set up: the lead hands it over
     *
     * @throws Refusal `inactive`, or `has_joined`: a link into an account in use would let others act in its name
     */
    public function __invoke(User $person): ?string
    {
        if (! $person->active) {
            throw Refusal::because('inactive', ['name' => $person->name]);
        }
        if ($person->joined_at !== null) {
            throw Refusal::because('has_joined', ['name' => $person->name]);
        }
        $broker = Password::broker(self::BROKER);
        assert($broker instanceof PasswordBroker);
        $token = $broker->createToken($person);
        $person->notify(new Invitation($token));
        $person->updateOrFail(['invited_at' => CarbonImmutable::now()]);

        return config('mail.default') === 'mailbox' && config('millstep.demo') !== true ? self::link($person, $token) : null;
    }

    /** What opens it stands behind the #, so that it never reaches a server, and no log. */
    public static function link(User $person, #[\SensitiveParameter] string $token): string
    {
        $says = http_build_query(['token' => $token, 'email' => $person->email, 'invited' => 1]);

        return rtrim(Config::string('app.url'), '/')."/reset#$says";
    }

    /** Letters that were sent to an address open nothing any more. */
    public static function forget(string ...$addresses): void
    {
        foreach (['people_invitations', 'people_password_resets'] as $table) {
            DB::table($table)->whereIn('email', $addresses)->delete();
        }
    }
}
