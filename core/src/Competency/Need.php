<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

/** One thing that the next stage still needs. At the border of an operation it is one word: `lesson:A4`, `practice:count:2`, `sign_off`. */
final readonly class Need implements \JsonSerializable, \Stringable
{
    /**
     * @param  string|null  $what  id of the lesson, check …; of practice `count` or `minutes`
     * @param  int|null  $count  how many exercises or minutes are missing
     * @param  \DateTimeImmutable|null  $from  when a wait ends
     * @param  \DateTimeImmutable|null  $until  by when it is to be done, of what is asked later
     */
    private function __construct(
        public NeedKind $kind,
        public ?string $what = null,
        public ?int $count = null,
        public ?\DateTimeImmutable $from = null,
        public ?\DateTimeImmutable $until = null,
    ) {
    }

    public static function of(NeedKind $kind, string $what, ?\DateTimeImmutable $until = null): self
    {
        return new self($kind, $what, until: $until);
    }

    /** @param  'count'|'minutes'  $what */
    public static function practice(string $what, int $missing): self
    {
        return new self(NeedKind::Practice, $what, $missing);
    }

    public static function signOff(): self
    {
        return new self(NeedKind::SignOff);
    }

    public static function waitUntil(\DateTimeImmutable $from): self
    {
        return new self(NeedKind::Wait, from: $from);
    }

    public function __toString(): string
    {
        return implode(':', array_filter(
            [$this->kind->value, $this->what, $this->count, $this->from?->format('Y-m-d\TH:i:s\Z')],
            static fn (string|int|null $part): bool => $part !== null,
        ));
    }

    /** @return array{kind: string, what?: string, count?: int, from?: string, until?: string} */
    public function toArray(): array
    {
        $instant = static fn (?\DateTimeImmutable $at): ?string => $at?->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z');

        return array_filter([
            'kind' => $this->kind->value, 'what' => $this->what, 'count' => $this->count,
            'from' => $instant($this->from), 'until' => $instant($this->until),
        ], static fn (string|int|null $part): bool => $part !== null);
    }

    /** @return array{kind: string, what?: string, count?: int, from?: string, until?: string} */
    public function jsonSerialize(): array
    {
        return $this->toArray();
    }
}
