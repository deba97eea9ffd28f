<?php

declare(strict_types=1);

namespace App\Support;

use MillStep\Core\Border\Message;

/** What is wrong with a file of content, and in which of its lines. */
final readonly class ContentFault
{
    private function __construct(public string $file, public int $line, public Message $what)
    {
    }

    /** @param  array<string, string|int|float|Message|list<string|Message>>  $terms */
    public static function at(string $file, int $line, string $fault, array $terms = []): self
    {
        return new self($file, max(1, $line), Message::of("fault.content.$fault", $terms));
    }

    /** What the core has against it. */
    public static function saying(string $file, int $line, Message $what): self
    {
        return new self($file, max(1, $line), $what);
    }

    /** @return array{file: string, line: int, what: Message} */
    public function toArray(): array
    {
        return ['file' => $this->file, 'line' => $this->line, 'what' => $this->what];
    }
}
