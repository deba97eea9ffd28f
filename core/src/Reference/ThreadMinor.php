<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\Length;

/** Between what the inside diameter of a nut thread has to lie for its class (thread_minor_limits.csv: ISO 965-1 6H, ASME B1.1 2B). */
final readonly class ThreadMinor
{
    private function __construct(public string $class, public Length $least, public Length $most)
    {
    }

    /**
     * Null for a thread that the table does not have.
     *
     * @throws BrokenTable
     */
    public static function of(Thread $thread): ?self
    {
        /** @var array<string, self>|null $all */
        static $all = null;
        if ($all === null) {
            $found = [];
            Table::shipped('thread_minor_limits.csv', ['thread', 'class', 'minor_min_mm', 'minor_max_mm'])->map(
                static function (Row $row) use (&$found): void {
                    $limits = new self($row->text('class'), $row->length('minor_min_mm'), $row->length('minor_max_mm'));
                    if (! $limits->most->isGreaterThan($limits->least)) {
                        throw $row->fault('minor_max_mm', 'is not larger than the least');
                    }
                    $found[$row->text('thread')] = $limits;
                },
            );
            $all = $found;
        }

        return $all[$thread->designation] ?? null;
    }

    public function hold(Length $minor): bool
    {
        return $minor->isAtLeast($this->least) && $minor->isAtMost($this->most);
    }
}
