<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;

/** What a way of marking, locating, making or gauging keeps (process_capability.csv: teaching values from workshop practice). */
final readonly class Process
{
    /** @param  Length  $keeps  a position's zone, or the width of the limits of a size; a shop's own experience may stand in its place */
    private function __construct(public string $name, public string $kind, public Length $keeps)
    {
    }

    /** The same way of working, as this shop knows it. */
    public function keeping(Length $keeps): self
    {
        return new self($this->name, $this->kind, $keeps);
    }

    /** How the shop's policy calls what it keeps. */
    public function setting(): string
    {
        return "keeps_{$this->name}_mm";
    }

    public function word(): Message
    {
        return Message::of("planning.process.$this->name");
    }

    /**
     * @return array<string, self> by name
     *
     * @throws BrokenTable
     */
    public static function all(): array
    {
        /** @var array<string, self>|null $all */
        static $all = null;
        if ($all === null) {
            $found = [];
            Table::shipped('process_capability.csv', ['process', 'kind', 'tolerance_mm'])->map(
                static function (Row $row) use (&$found): void {
                    $found[$row->text('process')] = new self(
                        $row->text('process'),
                        $row->choice('kind', ['position', 'size', 'gauge']),
                        Length::mm($row->number('tolerance_mm')),
                    );
                },
            );
            $all = $found;
        }

        return $all;
    }
}
