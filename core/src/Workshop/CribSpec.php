<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;
use MillStep\Core\Measure\Length;
use MillStep\Core\Planning\Thread;
use MillStep\Core\Planning\ThreadTable;

/** The tools at hand. A list that is left out means that nothing is said about it, an empty one that there are none. */
final readonly class CribSpec
{
    /**
     * @param  non-empty-list<Drill>  $drills  sharp ones
     * @param  list<Drill>  $dubbed  with a small flat on both lips
     * @param  list<array{thread: string, type: string}>|null  $taps
     * @param  list<array{diameter: Length, method: 'hand'|'machine'}>|null  $reamers
     */
    private function __construct(public array $drills, public array $dubbed, private ?array $taps, private ?array $reamers)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $dubbed = array_values(array_filter($fields->objects('drills', 1), static fn (Fields $drill): bool => $drill->text('edge', 'normal') === 'zero_rake'));

        return new self(
            Drill::set($fields),
            array_map(static fn (Fields $drill): Drill => new Drill($drill->text('designation'), $drill->length('diameter_mm')), $dubbed),
            ! $fields->has('taps') ? null : array_map(static fn (Fields $tap): array => ['thread' => ThreadTable::shipped()->get($tap->text('thread'), 'crib')->designation, 'type' => $tap->text('type')], $fields->objects('taps')),
            ! $fields->has('reamers') ? null : array_map(static fn (Fields $reamer): array => ['diameter' => $reamer->length('diameter_mm'), 'method' => $reamer->choice('method', ['hand', 'machine'])], $fields->objects('reamers')),
        );
    }

    public function hasTap(Thread $thread, string $type): bool
    {
        return $this->taps === null || in_array(['thread' => $thread->designation, 'type' => $type], $this->taps, true);
    }

    /** @return 'hand'|'machine'|null null when the crib has none of that size */
    public function reamerMethod(Length $diameter): ?string
    {
        if ($this->reamers === null) {
            return 'machine';
        }
        foreach ($this->reamers as $reamer) {
            if ($reamer['diameter']->equals($diameter)) {
                return $reamer['method'];
            }
        }

        return null;
    }

    public function isDubbed(Drill $drill): bool
    {
        foreach ($this->dubbed as $dubbed) {
            if ($dubbed->diameter->equals($drill->diameter)) {
                return true;
            }
        }

        return false;
    }
}
