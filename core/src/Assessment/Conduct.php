<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** How a sheet went by the clock: started, power on, first cut, ended, and the pauses that were nobody's fault. */
final readonly class Conduct
{
    /** @param  list<array{Moment, \DateTimeImmutable}>  $said  in the order in which they were said */
    private function __construct(private array $said)
    {
    }

    /** @param  list<array{Moment, \DateTimeImmutable}>  $said  in the order in which they were said */
    public static function of(array $said): self
    {
        return new self($said);
    }

    public function at(Moment $moment): ?\DateTimeImmutable
    {
        $at = null;
        foreach ($this->said as [$one, $when]) {
            $at = $one === $moment ? $when : $at;
        }

        return $at;
    }

    public function isPaused(): bool
    {
        $last = null;
        foreach ($this->said as [$one]) {
            $last = in_array($one, [Moment::Paused, Moment::Resumed], true) ? $one : $last;
        }

        return $last === Moment::Paused && $this->at(Moment::Ended) === null;
    }

    /** @return list<Moment> what may come now, the next of the work first */
    public function next(): array
    {
        if ($this->at(Moment::Started) === null) {
            return [Moment::Started];
        }
        if ($this->at(Moment::Ended) !== null) {
            return [];
        }
        if ($this->isPaused()) {
            return [Moment::Resumed];
        }

        return [
            ...match (true) {
                $this->at(Moment::PowerOn) === null => [Moment::PowerOn],
                $this->at(Moment::FirstCut) === null => [Moment::FirstCut],
                default => [],
            },
            Moment::Ended,
            Moment::Paused,
        ];
    }

    /**
     * How long was worked: from the start to its end, or to now, without the pauses. A clock that was put back takes nothing away.
     *
     * @return int seconds
     */
    public function workedSeconds(\DateTimeImmutable $now): int
    {
        $seconds = 0;
        $since = null;
        foreach ($this->said as [$moment, $at]) {
            if ($since !== null && in_array($moment, [Moment::Paused, Moment::Ended], true)) {
                $seconds += max(0, $at->getTimestamp() - $since->getTimestamp());
                $since = null;
            } elseif (in_array($moment, [Moment::Started, Moment::Resumed], true)) {
                $since = $at;
            }
        }

        return $seconds + ($since === null ? 0 : max(0, $now->getTimestamp() - $since->getTimestamp()));
    }
}
