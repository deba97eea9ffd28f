<?php

declare(strict_types=1);

namespace App\Competency;

use MillStep\Core\Border\Message;

/** What a walk through the ledger found. Only what is broken closes anything; the rest alerts, and the next anchor ends it. */
final readonly class LedgerFound
{
    /**
     * @param  'sound'|'broken'|'words'|'stale'|'none'  $state
     * @param  int|null  $brokenFrom  the first line that is not beyond doubt
     */
    private function __construct(
        public string $state,
        public ?Message $what,
        public ?int $brokenFrom,
        public int $lines,
        public int $anchors,
    ) {
    }

    public static function sound(int $lines, int $anchors): self
    {
        return new self('sound', null, null, $lines, $anchors);
    }

    public static function broken(Message $what, int $from, int $lines, int $anchors): self
    {
        return new self('broken', $what, $from, $lines, $anchors);
    }

    /** Every line stands, and what was said beside one does not. */
    public static function words(Message $what, int $lines, int $anchors): self
    {
        return new self('words', $what, null, $lines, $anchors);
    }

    public static function stale(Message $what, int $lines, int $anchors): self
    {
        return new self('stale', $what, null, $lines, $anchors);
    }

    public static function none(Message $what, int $lines): self
    {
        return new self('none', $what, null, $lines, 0);
    }
}
