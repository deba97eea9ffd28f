<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Reference\Thread;
use MillStep\Core\Reference\ThreadTable;

/** The tools at hand. A list that is left out means that nothing is said about it, an empty one that there are none. */
final readonly class CribSpec
{
    /**
     * @param  list<Drill>  $sharp
     * @param  list<Drill>  $dubbed  with a small flat on both lips
     * @param  array<string, int>  $tapers  Morse number of the shank, by diameter
     * @param  array<string, float>  $flutes  usable length in millimetres, by diameter
     * @param  list<list<float>>  $stepDrills  the diameters of each
     * @param  list<array{thread: string, type: string}>|null  $taps
     * @param  list<array{diameter: Length, method: 'hand'|'machine'}>|null  $reamers
     * @param  list<string>|null  $centreDrills  by size
     * @param  list<array{kind: string, size: string}>|null  $gauges
     */
    private function __construct(
        public array $sharp,
        public array $dubbed,
        private array $tapers,
        private array $flutes,
        private array $stepDrills,
        private ?array $taps,
        private ?array $reamers,
        private ?array $centreDrills,
        private ?array $gauges,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $sharp = $dubbed = $tapers = $flutes = [];
        foreach ($fields->objects('drills', 1) as $given) {
            $drill = new Drill($given->text('designation'), $given->length('diameter_mm'));
            if ($given->choice('edge', ['normal', 'zero_rake'], 'normal') === 'zero_rake') {
                $dubbed[] = $drill;
            } else {
                $sharp[] = $drill;
            }
            if ($given->has('taper')) {
                $tapers[self::key($drill->diameter)] = $given->integer('taper', 0, 6);
            }
            if ($given->has('flute_length_mm')) {
                $flutes[self::key($drill->diameter)] = max(
                    $flutes[self::key($drill->diameter)] ?? 0.0,
                    $given->length('flute_length_mm')->inMm(),
                );
            }
        }

        return new self(
            $sharp,
            $dubbed,
            $tapers,
            $flutes,
            array_map(
                static fn (Fields $step): array => $step->positives('diameters_mm'),
                $fields->has('step_drills') ? $fields->objects('step_drills') : [],
            ),
            self::each(
                $fields,
                'taps',
                static fn (Fields $tap): array => [
                    'thread' => ThreadTable::shipped()->get($tap->text('thread'), 'crib')->designation,
                    'type' => $tap->text('type'),
                ],
            ),
            self::each(
                $fields,
                'reamers',
                static fn (Fields $reamer): array => [
                    'diameter' => $reamer->length('diameter_mm'),
                    'method' => $reamer->choice('method', ['hand', 'machine']),
                ],
            ),
            self::each($fields, 'centre_drills', static fn (Fields $drill): string => $drill->text('size')),
            self::each(
                $fields,
                'gauges',
                static fn (Fields $gauge): array => ['kind' => $gauge->text('kind'), 'size' => $gauge->text('size')],
            ),
        );
    }

    /**
     * @template T
     *
     * @param  callable(Fields): T  $make
     * @return list<T>|null  null where nothing is said, which is not the same as none
     *
     * @throws InvalidInput
     */
    private static function each(Fields $fields, string $key, callable $make): ?array
    {
        return $fields->has($key) ? array_values(array_map($make, $fields->objects($key))) : null;
    }

    /**
     * The drills that a material may be drilled with, the fitting edge first: dubbed ones where it asks for zero
     * rake, sharp ones otherwise. Where there are none of that edge, the others.
     *
     * @return non-empty-list<Drill>
     */
    public function drillsFor(Material $material): array
    {
        [$first, $second] = $material->needsZeroRake ? [$this->dubbed, $this->sharp] : [$this->sharp, $this->dubbed];
        $drills = $first !== [] ? $first : $second;

        return $drills !== [] ? $drills : throw new \LogicException('A crib has at least one drill.');
    }

    /**
     * All drills, whatever their edge.
     *
     * @return non-empty-list<Drill>
     */
    public function allDrills(): array
    {
        $drills = [...$this->sharp, ...$this->dubbed];

        return $drills !== [] ? $drills : throw new \LogicException('A crib has at least one drill.');
    }

    public function isDubbed(Drill $drill): bool
    {
        return self::holds($this->dubbed, $drill);
    }

    public function isSharp(Drill $drill): bool
    {
        return self::holds($this->sharp, $drill);
    }

    /** Morse number of a drill's shank; null for a straight one. */
    public function taperOf(Drill $drill): ?int
    {
        return $this->tapers[self::key($drill->diameter)] ?? null;
    }

    /** Null when nothing is said about it. */
    public function fluteLength(Drill $drill): ?Length
    {
        $length = $this->flutes[self::key($drill->diameter)] ?? null;

        return $length === null ? null : Length::mm($length);
    }

    public function hasStepDrill(Length $diameter): bool
    {
        foreach ($this->stepDrills as $steps) {
            foreach ($steps as $step) {
                if (Length::mm($step)->equals($diameter)) {
                    return true;
                }
            }
        }

        return false;
    }

    public function hasTap(Thread $thread, string $type): bool
    {
        return $this->taps === null || in_array(['thread' => $thread->designation, 'type' => $type], $this->taps, true);
    }

    /** @return 'hand'|'machine'|null null when the crib has none of that size; a machine reamer first */
    public function reamerMethod(Length $diameter): ?string
    {
        if ($this->reamers === null) {
            return 'machine';
        }
        $methods = array_column(
            array_filter($this->reamers, static fn (array $reamer): bool => $reamer['diameter']->equals($diameter)),
            'method',
        );

        return in_array('machine', $methods, true) ? 'machine' : ($methods[0] ?? null);
    }

    public function hasReamer(Length $diameter, string $method): bool
    {
        return $this->reamers === null
            || array_filter(
                $this->reamers,
                static fn (array $reamer): bool => $reamer['method'] === $method && $reamer['diameter']->equals($diameter),
            ) !== [];
    }

    /** Whether the crib has that centre drill; yes when nothing is said about them. */
    public function hasCentreDrill(string $size): bool
    {
        return $this->centreDrills === null || in_array($size, $this->centreDrills, true);
    }

    /** Yes when nothing is said about gauges. */
    public function hasGauge(string $kind, string $size): bool
    {
        return $this->gauges === null || in_array(['kind' => $kind, 'size' => $size], $this->gauges, true);
    }

    /** @param  list<Drill>  $drills */
    private static function holds(array $drills, Drill $wanted): bool
    {
        foreach ($drills as $drill) {
            if ($drill->diameter->equals($wanted->diameter)) {
                return true;
            }
        }

        return false;
    }

    private static function key(Length $diameter): string
    {
        return number_format($diameter->inMm(), 3, '.', '');
    }
}
