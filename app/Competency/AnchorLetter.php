<?php

declare(strict_types=1);

namespace App\Competency;

use App\Language\Speech;
use App\People\User;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

/**
 * The signed head of the ledger, to be kept where nobody at the server can write over it.
 *
 * @phpstan-import-type Anchor from Anchors
 */
final class AnchorLetter extends Notification
{
    /** @param  Anchor  $anchor */
    public function __construct(private readonly array $anchor)
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

        return (new MailMessage)->subject($says->sayCode('letter.anchor.subject', ['at' => $this->anchor['at']]))
            ->line($says->sayCode('letter.anchor.what', ['at' => $this->anchor['at'], 'count' => $this->anchor['count']]))
            ->line($this->anchor['hash'])
            ->line($says->sayCode('letter.anchor.signed', ['signature' => $this->anchor['signature']]))
            ->line($says->sayCode('letter.anchor.keep'))
            ->line($says->sayCode('letter.anchor.stop'));
    }
}
