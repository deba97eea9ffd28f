<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** Which taps, in which order, and whether to turn back for the chip. */
final readonly class TapChoice implements Operation
{
    private const PULLED_UP = ['aluminium', 'plastic', 'copper_alloy'];

    public function __construct(
        public bool $through,
        public string $drive,
        public string $materialGroup,
        public Length $tappedDepth,
        public Length $major,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        return new self(
            $fields->flag('through'),
            $fields->choice('drive', ['hand', 'power']),
            $fields->text('material_group'),
            $fields->length('tapped_depth_mm'),
            $fields->length('major_mm'),
        );
    }

    public function compute(): TapSequence
    {
        return match (true) {
            $this->through => new TapSequence(['spiral_point'], false, 'A through hole lets the chip be pushed ahead.'),
            $this->drive === 'power' => new TapSequence(['spiral_flute'], false, 'A blind hole under power: the chip has to come up.'),
            in_array($this->materialGroup, self::PULLED_UP, true) => new TapSequence(
                ['spiral_flute'],
                false,
                'A blind hole in ductile stock: a spiral flute pulls the chip up.',
            ),
            $this->materialGroup === 'cast_iron' => new TapSequence(
                ['taper', 'second', 'bottoming'],
                false,
                'The chip is powder and breaks by itself.',
            ),
            default => new TapSequence(
                ['taper', 'second', 'bottoming'],
                true,
                'A blind hole by hand: start with the longest lead, turn back to break the chip.',
            ),
        };
    }
}
