<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

final class AlertLetter extends Notification
{
    /** @param  array<string, string|int>  $facts */
    public function __construct(private readonly string $kind, private readonly array $facts)
    {
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(): MailMessage
    {
        return match ($this->kind) {
            'ledger_broken' => (new MailMessage)->error()->subject('Mill Step: the ledger does not hold')
                ->line('The nightly check of the competency ledger failed:')
                ->line((string) $this->facts['what'])
                ->line('Until it is explained, trust no record that this shop shows.')
                ->line('Keep the database and its backups as they are and compare them with the anchors.'),
            default => (new MailMessage)->subject('Mill Step: unknown badges at '.$this->facts['machine'])
                ->line(sprintf(
                    '%d unknown badges were held to "%s" at %s within ten minutes. The reader answers slowly until it stops.',
                    $this->facts['unknown'],
                    $this->facts['device'],
                    $this->facts['machine'],
                ))
                ->line('Look who is there. A device is revoked under Workshop, Devices.'),
        };
    }
}
