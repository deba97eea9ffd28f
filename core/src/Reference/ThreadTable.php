<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Message;

/** ISO metric coarse and fine, UNC, UNF (threads.csv). */
final class ThreadTable
{
    private static ?self $shipped = null;

    /** What is written behind a thread and does not choose it: its class, and which hand; how a length is marked as inches. */
    private const BEHIND = '/[\s-]*(?:[1-3][AB]|[4-8][GH](?:[4-8][GH])?|RH)$/';

    /** Pipe threads, of which the tapered ones are gauged by depth and none is in the table. */
    private const PIPE = '/\b(?:NPT[FR]?|NPS[FMC]?|BSP[PT]?|R[pc]?\s*\d)|^\s*G\s*\d/i';

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
     * Understands `M8`, `M10x1.25`, `M8-1.25`, `1/4-20`, `1/4 20`, `1/4"-20 UNC-2B`, `#8-32 UNC`, `8-32`.
     *
     * @throws InvalidInput naming the field; what may have been meant is said
     */
    public function get(string $said, string $field = 'thread'): Thread
    {
        return $this->meant($said) ?? throw InvalidInput::at($field, ...$this->refusal($said));
    }

    /** @return list<Thread> of the coarse series, metric before inch, smallest first */
    public function coarse(): array
    {
        return array_values(array_filter(
            array_unique($this->threads, SORT_REGULAR),
            fn (Thread $thread): bool => str_ends_with($thread->designation, 'UNC')
                || (str_starts_with($thread->designation, 'M')
                    && $this->threads[explode('X', self::key($thread->designation))[0]] === $thread),
        ));
    }

    /** The thread that was said, or null. */
    public function meant(string $said): ?Thread
    {
        $thread = $this->threads[self::key($said)] ?? null;
        $series = self::series($said);

        // Somebody who writes 1/4-20 UNF has one of the two wrong, and we cannot know which.
        return $thread === null || $series === null || str_ends_with($thread->designation, $series) ? $thread : null;
    }

    /** @return array{string, array<string, string|Message>} */
    private function refusal(string $said): array
    {
        $terms = ['said' => Message::quote($said, 30)];
        if (preg_match(self::PIPE, $said) === 1) {
            return ['planning.thread_pipe', $terms];
        }
        $near = $this->near($said);

        return $near === [] ? ['planning.thread_unknown', $terms]
            : ['planning.thread_which', [...$terms, 'choices' => Message::anyOf($near)]];
    }

    /** @return list<string> the designations of the threads of the size that was said: `8` is M8 or #8, `1/4` is -20 or -28 */
    private function near(string $said): array
    {
        $bare = (string) preg_replace('/(?:MM|")$/', '', explode('X', explode('-', self::key($said))[0])[0]);
        // A mixed number, 1-1/4, is a size of its own: its whole inches are another thread.
        if ($bare === '' || strlen($bare) > 8 || preg_match('~^#?\d+-\d+/~', self::key($said)) === 1) {
            return [];
        }
        $heads = str_starts_with($bare, 'M') ? [$bare] : array_unique([$bare, "M$bare", "#$bare", ltrim($bare, '#')]);
        $near = [];
        foreach ($this->threads as $thread) {
            if (in_array(preg_split('/[X-]/', self::key($thread->designation))[0] ?? '', $heads, true)) {
                $near[$thread->designation] = true;
            }
        }

        return array_keys($near);
    }

    private static function series(string $said): ?string
    {
        return preg_match('/UN[CF]/i', $said, $m) === 1 ? strtoupper($m[0]) : null;
    }

    /** As the table is searched: `M8X1.25`, `1/4-20`, `#8-32`. */
    private static function key(string $said): string
    {
        $plain = strtr(
            strtoupper(trim(mb_scrub($said))),
            ['×' => 'X', '*' => 'X', '″' => '"', '”' => '"', '–' => '-', '−' => '-', ',' => '.'],
        );
        $plain = (string) preg_replace(['/\s*(?:TPI|TAP)$/', '/\s*UN[CF]/', self::BEHIND, '/\s*(?:"|INCH|IN\b)/'], '', $plain);
        $plain = (string) preg_replace(
            ['/^(?:NO\.?|N\.?º)\s*(?=\d)/u', '/\s*([-X])\s*/', '/^(M[\d.]+)[-\s](?=[\d.])/'],
            ['#', '$1', '$1X'],
            $plain,
        );
        $plain = (string) preg_replace(['~^([\d/#]+)\s+(?=\d+$)~', '/\s+/'], ['$1-', ''], $plain);
        // A whole inch goes with 8 or 12 threads to it; every other bare number is a screw number.
        $plain = (string) preg_replace('/^(\d{1,2})-(?=\d)/', '#$1-', $plain);

        return (string) preg_replace(['/^#1-(?=(?:8|12)$)/', '/(?<=\d)\.0+$/'], ['1-', ''], $plain);
    }
}
