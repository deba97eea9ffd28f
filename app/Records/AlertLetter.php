<?php

declare(strict_types=1);

namespace App\Records;

use App\Language\Speech;
use App\People\User;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

final class AlertLetter extends Notification
{
    /**
     * @param  string  $kind  as RaisesAlert has them
     * @param  array<string, mixed>  $facts
     */
    public function __construct(private readonly string $kind, private readonly array $facts)
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
        $letter = (new MailMessage)->subject($says->sayCode("letter.$this->kind.subject", $this->facts))
            ->line($says->sayCode("letter.$this->kind.what", $this->facts));

        return match ($this->kind) {
            'ledger_broken' => $letter->error()
                ->line($says->term($this->facts['what'] ?? ''))
                ->line($says->sayCode('letter.ledger_broken.trust'))
                ->line($says->sayCode('letter.ledger_broken.keep')),
            'ledger_doubtful' => $letter
                ->line($says->term($this->facts['what'] ?? ''))
                ->line($says->sayCode('letter.ledger_doubtful.look')),
            default => $letter->line($says->sayCode("letter.$this->kind.look")),
        };
    }
}
