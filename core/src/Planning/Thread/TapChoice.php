<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Thread;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
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
            $this->through => new TapSequence(['spiral_point'], false, Message::of('planning.tap.through')),
            $this->drive === 'power' => new TapSequence(['spiral_flute'], false, Message::of('planning.tap.blind_by_power')),
            in_array($this->materialGroup, self::PULLED_UP, true) => new TapSequence(
                ['spiral_flute'],
                false,
                Message::of('planning.tap.blind_ductile'),
            ),
            $this->materialGroup === 'cast_iron' => new TapSequence(
                ['taper', 'second', 'bottoming'],
                false,
                Message::of('planning.tap.powder'),
            ),
            default => new TapSequence(
                ['taper', 'second', 'bottoming'],
                true,
                Message::of('planning.tap.blind_by_hand'),
            ),
        };
    }
}
