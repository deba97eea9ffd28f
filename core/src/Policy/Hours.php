<?php

declare(strict_types=1);

namespace MillStep\Core\Policy;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

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
                    throw $span->fault($key, 'policy.no_time');
                }
            }
            if ($span->text('from') === $span->text('to')) {
                throw $span->fault('to', 'policy.no_span');
            }
            $spans[] = ['days' => $days, 'from' => $span->text('from'), 'to' => $span->text('to')];
        }
        try {
            $zone = new \DateTimeZone($policy->text('time_zone', 'UTC'));
        } catch (\Exception) {
            throw $policy->fault('time_zone', 'policy.no_zone');
        }

        return new self($spans, $zone);
    }

    /** By the clock on the shop's wall, whatever summer time does to it. A span to an earlier hour ends on the day after. */
    public function openAt(\DateTimeImmutable $instant): bool
    {
        $local = $instant->setTimezone($this->zone);
        $time = $local->format('H:i');
        $day = (int) $local->format('N');
        $before = $day === 1 ? 7 : $day - 1;
        foreach ($this->spans as ['days' => $days, 'from' => $from, 'to' => $to]) {
            $today = in_array($day, $days, true) && $time >= $from;
            if ($from < $to ? $today && $time < $to : $today || (in_array($before, $days, true) && $time < $to)) {
                return true;
            }
        }

        return false;
    }

    /** The last second of that day in the shop: a permit that is valid until a day is valid until then. */
    public function endOfDay(\DateTimeImmutable $day): \DateTimeImmutable
    {
        return $day->setTimezone($this->zone)->setTime(23, 59, 59);
    }

    /** The last second of a day named by its date, as in `2031-05-02`. */
    public function endOfDate(string $date): \DateTimeImmutable
    {
        return new \DateTimeImmutable($date.' 23:59:59', $this->zone);
    }

    /** The time of day in the shop. */
    public function timeAt(\DateTimeImmutable $instant): string
    {
        return $instant->setTimezone($this->zone)->format('H:i');
    }

    /** The shop's date at an instant. */
    public function dateAt(\DateTimeImmutable $instant): string
    {
        return $instant->setTimezone($this->zone)->format('Y-m-d');
    }
}
