<?php

declare(strict_types=1);

namespace App\People;

use App\Language\Speech;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;
use Illuminate\Support\Facades\Config;

final class Invitation extends Notification
{
    public function __construct(#[\SensitiveParameter] private readonly string $token)
    {
    }

    /** @return list<string> */
    public function via(User $person): array
    {
        return ['mail'];
    }

    public function toMail(User $person): MailMessage
    {
        $says = Speech::to($person);

        $days = intdiv(Config::integer('auth.passwords.invitations.expire'), 1440);

        return (new MailMessage)->subject($says->sayCode('letter.invitation.subject'))
            ->greeting($says->sayCode('letter.hello', ['name' => $person->name]))
            ->line($says->sayCode('letter.invitation.why'))
            ->action($says->sayCode('letter.invitation.act'), Invite::link($person, $this->token))
            ->line($says->sayCode('letter.invitation.until', ['days' => $days]))
            ->salutation($says->sayCode('letter.regards'));
    }
}
