<?php

declare(strict_types=1);

namespace App\Records;

use App\Language\Speech;
use App\People\User;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;
use Illuminate\Support\Facades\Config;

/** To whoever asked for it: a learner of theirs waits. */
final class WaitingLetter extends Notification
{
    /** @param  array{look: int, practice: int}  $waiting */
    public function __construct(private readonly string $learner, private readonly array $waiting)
    {
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(User $to): MailMessage
    {
        $says = Speech::to($to);
        $letter = (new MailMessage)->subject($says->sayCode('letter.waiting.subject', ['name' => $this->learner]))
            ->greeting($says->sayCode('letter.hello', ['name' => $to->name]));
        $this->waiting['look'] > 0 && $letter->line($says->sayCode('letter.waiting.look', ['name' => $this->learner]));
        $this->waiting['practice'] > 0
            && $letter->line($says->sayCode('letter.waiting.practice', ['name' => $this->learner, 'count' => $this->waiting['practice']]));

        return $letter->action($says->sayCode('letter.waiting.act'), rtrim(Config::string('app.url'), '/').'/today')
            ->line($says->sayCode('letter.waiting.stop'))
            ->salutation($says->sayCode('letter.regards'));
    }
}
