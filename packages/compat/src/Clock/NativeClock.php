<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

/** The machine's own clock. */
final class NativeClock implements ClockInterface
{
    private readonly \DateTimeZone $timezone;

    /** @throws \Exception when the time zone is not known */
    public function __construct(\DateTimeZone|string|null $timezone = null)
    {
        $this->timezone = match (true) {
            $timezone instanceof \DateTimeZone => $timezone,
            default => new \DateTimeZone($timezone ?? date_default_timezone_get()),
        };
    }

    public function now(): \DateTimeImmutable
    {
        return new \DateTimeImmutable('now', $this->timezone);
    }

    public function sleep(float|int $seconds): void
    {
        usleep(max(0, (int) round($seconds * 1_000_000)));
    }

    public function withTimeZone(\DateTimeZone|string $timezone): static
    {
        return new self($timezone);
    }
}
