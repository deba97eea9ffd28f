<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;

/** When the shop is open, in the shop's own time. No hours given means never open. */
final readonly class Hours
{
    /** @param  list<array{days: list<int>, from: string, to: string}>  $spans ISO weekdays 1–7, times as HH:MM, 24:00 for midnight */
    private function __construct(private array $spans, private \DateTimeZone $zone)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $policy): self
    {
        $spans = [];
        foreach ($policy->has('hours') ? $policy->objects('hours') : [] as $span) {
            $days = array_map(intval(...), $span->positives('days'));
            foreach (['from', 'to'] as $key) {
                if (preg_match('/^([01]\d|2[0-3]):[0-5]\d$|^24:00$/', $span->text($key)) !== 1) {
                    throw $span->fault($key, 'must be a time like 08:00');
                }
            }
            $spans[] = ['days' => $days, 'from' => $span->text('from'), 'to' => $span->text('to')];
        }
        try {
            $zone = new \DateTimeZone($policy->text('time_zone', 'UTC'));
        } catch (\Exception) {
            throw $policy->fault('time_zone', 'must be a time zone like Europe/Dublin');
        }

        return new self($spans, $zone);
    }

    public function openAt(\DateTimeImmutable $instant): bool
    {
        $local = $instant->setTimezone($this->zone);
        $time = $local->format('H:i');
        foreach ($this->spans as $span) {
            if (in_array((int) $local->format('N'), $span['days'], true) && $time >= $span['from'] && $time < $span['to']) {
                return true;
            }
        }

        return false;
    }
}
