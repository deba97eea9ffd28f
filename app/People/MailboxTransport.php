<?php

declare(strict_types=1);

namespace App\People;

use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Message;
use Symfony\Component\Mime\MessageConverter;

/** Stand-in for a mail server: puts each letter into the demo's mailbox page. */
final class MailboxTransport extends AbstractTransport
{
    protected function doSend(SentMessage $message): void
    {
        $original = $message->getOriginalMessage();
        $email = match (true) {
            $original instanceof Message => MessageConverter::toEmail($original),
            default => throw new \LogicException('The mailbox takes letters, not raw bytes.'),
        };
        foreach ($message->getEnvelope()->getRecipients() as $recipient) {
            Letter::query()->create([
                'recipient' => $recipient->getAddress(),
                'subject' => (string) $email->getSubject(),
                'body' => (string) ($email->getTextBody() ?? strip_tags((string) $email->getHtmlBody())),
            ]);
        }
    }

    public function __toString(): string
    {
        return 'mailbox';
    }
}
