<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;

/**
 * What a permit asks for since a day on which people were signed already: it stands in its list as usual, and here with its span. Before
 * `from` it is asked of nobody; whoever was known before has until `until`.
 */
final readonly class Later
{
    private const LISTS = ['lesson', 'guided', 'check', 'assessment', 'rehearsal', 'prerequisite'];

    private function __construct(
        public NeedKind $kind,
        public string $what,
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $kind = NeedKind::from($fields->choice('kind', self::LISTS));
        $later = new self($kind, $fields->text('what'), $fields->instant('from'), $fields->instant('until'));

        return $later->until >= $later->from ? $later : throw $fields->fault('until', 'competency.later.ends_before_it_begins');
    }

    public function is(NeedKind $kind, string $what): bool
    {
        return $this->kind === $kind && $this->what === $what;
    }

    public function need(): Need
    {
        return Need::of($this->kind, $this->what, $this->until);
    }
}
