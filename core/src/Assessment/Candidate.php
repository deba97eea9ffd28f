<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\Message;

/** Somebody who is ready for a sheet, with what decides about their place in the queue. */
final readonly class Candidate
{
    /**
     * @param  string  $id  of the learner and the permit, for whoever asks
     * @param  int  $blocks  permits that they have begun and that wait for this one
     * @param  bool|null  $machineFree  null where the sheet needs none
     */
    public function __construct(
        public string $id,
        public \DateTimeImmutable $readySince,
        public int $blocks,
        public ?bool $machineFree,
    ) {
    }

    /** @return list<Message> why they stand where they stand */
    public function reasons(\DateTimeImmutable $now): array
    {
        $days = max(0, (int) $this->readySince->diff($now)->format('%r%a'));

        return [
            Message::of(match ($this->machineFree) {
                true => 'assessment.queue.machine_free',
                false => 'assessment.queue.machine_taken',
                null => 'assessment.queue.no_machine',
            }),
            ...($this->blocks === 0 ? [] : [Message::of('assessment.queue.blocks', ['count' => $this->blocks])]),
            $days === 0 ? Message::of('assessment.queue.since_today') : Message::of('assessment.queue.waits', ['count' => $days]),
        ];
    }
}
