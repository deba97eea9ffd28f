<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Reference\Thread;
use MillStep\Core\Reference\ThreadTable;
use MillStep\Core\Workshop\Holding\Kit;
use MillStep\Core\Workshop\Holding\Ring;
use MillStep\Core\Workshop\Holding\Workholding;

/** The tools at hand. A list that is left out means that nothing is said about it, an empty one that there are none. */
final readonly class CribSpec
{
    /**
     * @param  list<Drill>  $sharp
     * @param  list<Drill>  $dubbed  with a small flat on both lips
     * @param  array<string, int>  $tapers  Morse number of the shank, by diameter
     * @param  array<string, float>  $flutes  usable length in millimetres, by diameter
     * @param  array<string, list<float>>  $points  angles in degrees, by diameter
     * @param  list<list<float>>  $stepDrills  the diameters of each
     * @param  list<array{thread: string, type: string}>|null  $taps
     * @param  list<array{diameter: Length, method: 'hand'|'machine'}>|null  $reamers
     * @param  list<string>|null  $centreDrills  by size
     * @param  list<array{kind: string, size: string}>|null  $gauges
     * @param  list<BoringBar>|null  $boringBars
     * @param  list<HoleSaw>  $holeSaws
     * @param  list<array{drill: Drill, edge: string, condition: 'dull'|'regrind'|'worn_out'|'lost'}>  $aside  drills no plan may take
     */
    private function __construct(
        public array $sharp,
        public array $dubbed,
        private array $tapers,
        private array $flutes,
        private array $points,
        private array $stepDrills,
        private ?array $taps,
        private ?array $reamers,
        private ?array $centreDrills,
        private ?array $gauges,
        private array $aside,
        private ?Kit $kit,
        private ?array $boringBars,
        private array $holeSaws,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $sharp = $dubbed = $tapers = $flutes = $points = [];
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
            if ($given->has('point_angle_deg')) {
                $points[self::key($drill->diameter)][] = $given->between('point_angle_deg', 30, 180);
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
            $points,
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
            self::each(
                $fields,
                'aside',
                static fn (Fields $drill): array => [
                    'drill' => new Drill($drill->text('designation'), $drill->length('diameter_mm')),
                    'edge' => $drill->choice('edge', ['normal', 'zero_rake'], 'normal'),
                    'condition' => $drill->choice('condition', ['dull', 'regrind', 'worn_out', 'lost']),
                ],
            ) ?? [],
            $fields->has('holdings') ? Kit::fromFields(array_values($fields->objects('holdings'))) : null,
            self::each($fields, 'boring_bars', BoringBar::fromFields(...)),
            self::each($fields, 'hole_saws', HoleSaw::fromFields(...)) ?? [],
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

    /**
     * Drills that would have the edge for a material, and that no plan may take.
     *
     * @return list<array{drill: Drill, edge: string, condition: 'dull'|'regrind'|'worn_out'|'lost'}>
     */
    public function asideFor(Material $material): array
    {
        $edge = $material->needsZeroRake ? 'zero_rake' : 'normal';

        return array_values(array_filter($this->aside, static fn (array $drill): bool => $drill['edge'] === $edge));
    }

    /** Whether a drill's edge is the one that a material asks for. */
    public function hasEdgeFor(Drill $drill, Material $material): bool
    {
        return $material->needsZeroRake ? $this->isDubbed($drill) : $material->grabs || $this->isSharp($drill);
    }

    /** Yes when nothing is said about what there is to hold with. */
    public function canHold(Workholding $holding, ?Length $bar, ?Length $across = null): bool
    {
        return $this->kit === null || $this->kit->has($holding, $bar, $across);
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

    /** Of a drill's point, in degrees: the one nearest to what the material wants. Null when nothing is said about it. */
    public function pointAngle(Drill $drill, Material $material): ?float
    {
        $angles = $this->points[self::key($drill->diameter)] ?? [];
        usort($angles, static fn (float $a, float $b): int => abs($a - $material->pointAngleDeg) <=> abs($b - $material->pointAngleDeg));

        return $angles[0] ?? null;
    }

    /** Null when nothing is said about it. */
    public function fluteLength(Drill $drill): ?Length
    {
        $length = $this->flutes[self::key($drill->diameter)] ?? null;

        return $length === null ? null : Length::mm($length);
    }

    /** How many steps of the crib's step drill are smaller than this one: the fewest, where several have it; null where none. */
    public function stepsBefore(Length $diameter): ?int
    {
        $before = [];
        foreach ($this->stepDrills as $steps) {
            $smaller = array_filter($steps, static fn (float $step): bool => Length::mm($step)->isLessThan($diameter));
            if (array_filter($steps, static fn (float $step): bool => Length::mm($step)->equals($diameter)) !== []) {
                $before[] = count($smaller);
            }
        }

        return $before === [] ? null : min($before);
    }

    /** What a step drill cuts at once: from the step before to this one; the least that is there, where several have it. */
    public function stepOf(Length $diameter): Ring
    {
        $before = [];
        foreach ($this->stepDrills as $steps) {
            if (array_filter($steps, static fn (float $step): bool => Length::mm($step)->equals($diameter)) !== []) {
                $smaller = array_filter($steps, static fn (float $step): bool => Length::mm($step)->isLessThan($diameter));
                $before[] = $smaller === [] ? 0.0 : max($smaller);
            }
        }

        return new Ring($diameter, Length::mm($before === [] ? 0.0 : min($before)));
    }

    public function hasStepDrill(Length $diameter): bool
    {
        return $this->stepsBefore($diameter) !== null;
    }

    /** @return list<Thread>|null that there are taps for, smallest first; null when nothing is said about taps */
    public function tapThreads(): ?array
    {
        if ($this->taps === null) {
            return null;
        }
        $threads = array_map(ThreadTable::shipped()->get(...), array_values(array_unique(array_column($this->taps, 'thread'))));
        usort($threads, static fn (Thread $a, Thread $b): int => $a->major->compareExactly($b->major)
            ?: $b->pitch->compareExactly($a->pitch));

        return $threads;
    }

    /** @return list<array{diameter: Length, method: 'hand'|'machine'}>|null smallest first; null when nothing is said about them */
    public function reamers(): ?array
    {
        $reamers = $this->reamers;
        if ($reamers !== null) {
            usort($reamers, static fn (array $a, array $b): int => $a['diameter']->compareExactly($b['diameter']));
        }

        return $reamers;
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

    /**
     * The system that the crib's centre drills are of; where nothing is said, the one of the machine.
     *
     * @param  'mm'|'in'  $unit  of the machine's scale
     * @return 'metric'|'inch'
     */
    public function centreDrillsIn(string $unit): string
    {
        $inch = array_filter($this->centreDrills ?? [], static fn (string $size): bool => str_starts_with($size, '#'));

        return match (true) {
            ($this->centreDrills ?? []) === [] => $unit === 'in' ? 'inch' : 'metric',
            default => 2 * count($inch) > count($this->centreDrills ?? []) ? 'inch' : 'metric',
        };
    }

    /**
     * The stoutest bar that goes into a hole; the usual one when nothing is said about them, and null where none goes in.
     */
    public function boringBar(Length $hole): ?BoringBar
    {
        if ($this->boringBars === null) {
            return BoringBar::usualFor($hole);
        }
        $best = null;
        foreach ($this->boringBars as $bar) {
            if ($bar->enters->isAtMost($hole) && ($best === null || $bar->thick->isGreaterThan($best->thick))) {
                $best = $bar;
            }
        }

        return $best;
    }

    /** The one of that size, the deepest where there are several; null where there is none. */
    public function holeSaw(Length $diameter): ?HoleSaw
    {
        $best = null;
        foreach ($this->holeSaws as $saw) {
            if ($saw->diameter->equals($diameter) && ($best === null || $saw->deep->isGreaterThan($best->deep))) {
                $best = $saw;
            }
        }

        return $best;
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
