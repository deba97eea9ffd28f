<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Measure\Scale;

/** What a plan has to know of a machine. */
final readonly class MachineSpec
{
    /** What has no spindle: a marking-out table. */
    public const BENCH = 'bench';

    public const KINDS = ['bench_drill_press', 'floor_drill_press', 'lathe', 'hand_drill', 'bench'];

    /** A variator changes speed only while it runs; belts and gears only at standstill, isolated; a trigger at any time. */
    public const SPEED_CHANGES = ['stopped_and_isolated', 'running', 'any'];

    /** Where on its cone pulleys the belt turns a machine fastest. */
    public const BELTS = ['top', 'bottom'];

    /**
     * @param  'drill_press'|'lathe'  $kind  the shop tells a bench drill press from a floor one; the rules do not
     * @param  Dial|null  $carriage  that moves along the bed, and
     * @param  Dial|null  $crossSlide  that moves across it
     * @param  Length|null  $runOut  the whole swing of a pin in its chuck, when it was last measured
     * @param  float|null  $slope  of its table to its spindle, in millimetres for each millimetre
     * @param  bool  $reverses  its spindle turns both ways, so that it can wind a tap out again
     * @param  int|null  $taper  of spindle or tailstock, by its Morse number
     */
    private function __construct(
        public ?string $name,
        public string $kind,
        public Speeds $speeds,
        public string $speedChange,
        public Scale $scale,
        public ?Length $travel,
        public ?Length $chuckMax,
        public ?Length $throughBore,
        public ?Dial $carriage,
        public ?Dial $crossSlide,
        public ?int $taper,
        public bool $inService,
        public ?string $fastestBelt = null,
        public ?Length $runOut = null,
        public ?float $slope = null,
        public bool $reverses = false,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $optional = static fn (Fields $from, string $key): ?Length => $from->has($key) ? $from->length($key) : null;
        $scale = $fields->objectOrEmpty('depth_scale');

        return new self(
            $fields->has('name') ? $fields->text('name') : null,
            self::role($fields->choice('kind', [...self::KINDS, 'drill_press'], 'drill_press')),
            Speeds::fromFields($fields),
            $fields->choice('speed_change', self::SPEED_CHANGES, 'stopped_and_isolated'),
            Scale::fromFields($scale),
            $optional($scale, 'travel_mm'),
            $optional($fields, 'chuck_max_mm'),
            $optional($fields, 'through_bore_mm'),
            $fields->has('dial') ? Dial::fromFields($fields->object('dial')) : null,
            $fields->has('cross_dial') ? Dial::fromFields($fields->object('cross_dial')) : null,
            $fields->has('taper') ? $fields->integer('taper', 0, 6) : null,
            $fields->flag('in_service', true),
            $fields->has('fastest_belt') ? $fields->choice('fastest_belt', self::BELTS) : null,
            $fields->has('run_out_mm') ? $fields->lengthOrZero('run_out_mm') : null,
            $fields->has('slope_ratio') ? $fields->notNegative('slope_ratio') : null,
            $fields->flag('reverses', false),
        );
    }

    /** As if it were in service: what is taught on it stays true while it waits for a part. */
    public function asTaught(): self
    {
        /** @var array{name: string|null, kind: 'drill_press'|'lathe', speeds: Speeds, speedChange: string, scale: Scale,
         *     travel: Length|null, chuckMax: Length|null, throughBore: Length|null, carriage: Dial|null, crossSlide: Dial|null,
         *     taper: int|null, inService: bool, fastestBelt: string|null, runOut: Length|null, slope: float|null,
         *     reverses: bool} $all */
        $all = [...get_object_vars($this), 'inService' => true];

        return new self(...$all);
    }

    /** What it is called in this shop, or just "this machine". */
    public function word(): Message|string
    {
        return $this->name ?? Message::of('workshop.this_machine');
    }

    /** Whether whoever knows a machine of the one kind has something to go by at one of the other: both presses, both lathes. */
    public static function areAlike(string $a, string $b): bool
    {
        $presses = ['bench_drill_press', 'floor_drill_press'];

        return $a === $b || (in_array($a, $presses, true) && in_array($b, $presses, true));
    }

    public function isLathe(): bool
    {
        return $this->kind === 'lathe';
    }

    /**
     * The rules know two ways of drilling: a tool that turns, pressed into work on a table, and work that turns.
     *
     * @param  'bench_drill_press'|'floor_drill_press'|'lathe'|'hand_drill'|'bench'|'drill_press'  $kind
     * @return 'drill_press'|'lathe'
     */
    private static function role(string $kind): string
    {
        return match ($kind) {
            'drill_press', 'bench_drill_press', 'floor_drill_press', 'hand_drill', 'bench' => 'drill_press',
            'lathe' => 'lathe',
        };
    }
}
