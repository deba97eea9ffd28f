<?php

declare(strict_types=1);

namespace MillStep\Core\Setup\Scene;

/** Something put wrong on purpose: what differs from a sound set-up, and the findings that the review must have because of it. */
final readonly class SceneFault
{
    /**
     * @param  string  $code  the finding that it is there for
     * @param  array<string, bool|int|float|string>  $facts  what differs
     * @param  list<string>  $also  findings that come with it
     */
    private function __construct(public string $code, private array $facts, public array $also)
    {
    }

    /**
     * @param  array<string, bool|int|float|string>  $facts
     * @param  list<string>  $also
     */
    public static function of(string $code, array $facts, array $also = []): self
    {
        return new self($code, $facts, $also);
    }

    public function putInto(SceneFacts $facts): SceneFacts
    {
        return $facts->with($this->facts);
    }

    public function explains(string $code): bool
    {
        return $code === $this->code || in_array($code, $this->also, true);
    }
}
