<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Competency\Ledger\Entry\Corrected;
use MillStep\Core\Competency\Record;

/** The lines about one learner and one permit, in the ledger's own sequence. No clock can put them in another order. */
final readonly class Ledger
{
    /**
     * @param  array<string, Line>  $lines by id
     * @param  bool  $asWritten  a history of which every date is believed: what lies after an instant is not there yet
     */
    private function __construct(private array $lines, private bool $asWritten = false)
    {
    }

    /**
     * Somebody's account of what happened, in the order of its dates, equal ones as listed. The shop's own ledger is not read so: there a
     * line that takes something away counts whatever date a clock gave it.
     *
     * @throws InvalidInput when an entry lacks what its type needs, or a place is named that does not exist
     */
    public static function history(Fields $fields): self
    {
        $lines = self::fromFields($fields)->lines;
        uasort($lines, static fn (Line $a, Line $b): int => $a->at <=> $b->at);

        return new self($lines, true);
    }

    /** @throws InvalidInput when an entry lacks what its type needs, or a place is named that does not exist */
    public static function fromFields(Fields $fields): self
    {
        $lines = [];
        $given = $fields->objects('ledger');
        foreach ($given as $place => $entry) {
            $id = $entry->has('id') ? $entry->text('id') : (string) $place;
            $line = new Line($id, $entry->instant('at'), Entries::read($entry));
            if ($line->entry instanceof Corrected) {
                self::checkNamed($line->entry->entry, $id, count($given), $entry);
            }
            $lines[$id] = $line;
        }

        return new self($lines);
    }

    /** @param  iterable<Line>  $lines */
    public static function of(iterable $lines): self
    {
        $byId = [];
        foreach ($lines as $line) {
            $byId[$line->id] = $line;
        }

        return new self($byId);
    }

    public function asOf(\DateTimeImmutable $now): Record
    {
        return $this->fold($now)->record();
    }

    public function fold(\DateTimeImmutable $now): Fold
    {
        $fold = new Fold;
        foreach ($this->counting($now) as $line) {
            $line->entry->foldInto($fold, $line);
        }

        return $fold;
    }

    /** @return array<string, Line> by id, in the ledger's own sequence */
    public function lines(): array
    {
        return $this->lines;
    }

    /** Up to now, or taking something away whatever its date. */
    public function counts(Line $line, \DateTimeImmutable $now): bool
    {
        return $line->at <= $now || (! $this->asWritten && $this->restricts($line));
    }

    /**
     * The lines that count, and are not corrected by one that counts.
     *
     * @return array<string, Line>
     */
    private function counting(\DateTimeImmutable $now): array
    {
        $counting = array_filter($this->lines, fn (Line $line): bool => $this->counts($line, $now));
        // Latest correction first, so that a corrected correction no longer speaks.
        foreach (array_reverse($counting, true) as $id => $line) {
            if ($line->entry instanceof Corrected && isset($counting[$id])) {
                unset($counting[$line->entry->entry]);
            }
        }

        return $counting;
    }

    /** A correction takes away where what it corrects gives; what corrects such a correction gives again. */
    public function restricts(Line $line): bool
    {
        $takesAway = true;
        // Corrections may name each other; no chain is longer than there are lines.
        for ($steps = count($this->lines); $steps >= 0 && $line->entry instanceof Corrected; $steps--) {
            $named = $this->lines[$line->entry->entry] ?? null;
            if ($named === null) {
                return false;
            }
            $line = $named;
            $takesAway = ! $takesAway;
        }

        return $line->entry->restricts() === $takesAway;
    }

    /** @throws InvalidInput */
    private static function checkNamed(string $named, string $own, int $count, Fields $fields): void
    {
        if ($named === $own) {
            throw $fields->fault('entry', 'competency.corrects_itself');
        }
        if (is_int($fields->toArray()['entry']) && (int) $named >= $count) {
            throw $fields->fault('entry', 'competency.corrects_none', ['entries' => $count, 'found' => $named]);
        }
    }
}
