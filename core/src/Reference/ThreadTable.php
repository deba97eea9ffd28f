<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Message;

/** ISO metric coarse and fine, UNC, UNF (threads.csv). */
final class ThreadTable
{
    private static ?self $shipped = null;

    /** @param  array<string, Thread>  $threads by the designation without blanks and series */
    private function __construct(private readonly array $threads)
    {
    }

    /** @throws BrokenTable */
    public static function shipped(): self
    {
        if (self::$shipped === null) {
            $threads = [];
            foreach (Table::shipped('threads.csv', ['designation', 'major_mm', 'pitch_mm'])->map(Thread::fromRow(...)) as $thread) {
                $threads[self::key($thread->designation)] ??= $thread;
                // "M8" alone is the coarse one, which the table has first.
                $threads[explode('X', self::key($thread->designation))[0]] ??= $thread;
            }
            self::$shipped = new self($threads);
        }

        return self::$shipped;
    }

    /**
     * Understands `M8`, `M10x1.25`, `1/4-20`, `#8-32 UNC`.
     *
     * @throws InvalidInput naming the field
     */
    public function get(string $said, string $field = 'thread'): Thread
    {
        return $this->threads[self::key($said)]
            ?? throw InvalidInput::at(
                $field,
                'planning.thread_unknown',
                ['said' => Message::quote($said, 30)],
            );
    }

    private static function key(string $said): string
    {
        return (string) preg_replace(['/\s+|UNC|UNF/', '/×/u'], ['', 'X'], strtoupper(mb_scrub($said)));
    }
}
