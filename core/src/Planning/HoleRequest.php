<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Exception\Impossible;
use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;
use MillStep\Core\Measure\Length;

/** The hole that is wanted, as one would say it. */
final readonly class HoleRequest
{
    private function __construct(
        public string $purpose,
        public ?Length $diameter,
        public ?Thread $thread,
        public bool $through,
        public ?Length $depth,
        public ?Length $positionTolerance,
    ) {
    }

    /**
     * @throws InvalidInput
     * @throws Impossible when a blind hole is deeper than the stock
     */
    public static function fromFields(Fields $fields, Length $thickness): self
    {
        $purpose = $fields->choice('purpose', ['plain', 'clearance', 'tapped', 'reamed']);
        $through = $fields->flag('through', true);
        $hole = new self(
            $purpose,
            in_array($purpose, ['plain', 'reamed'], true) ? $fields->length('diameter_mm') : null,
            match ($purpose) {
                'tapped' => ThreadTable::shipped()->get($fields->text('thread'), 'hole'),
                'clearance' => ThreadTable::shipped()->get($fields->text('fastener'), 'hole'),
                default => null,
            },
            $through,
            $through ? null : $fields->length('depth_mm'),
            $fields->has('position_tolerance_mm') ? $fields->length('position_tolerance_mm') : null,
        );
        if ($hole->depth?->isAtLeast($thickness) === true) {
            throw Impossible::because('hole', sprintf('A blind hole %.4g mm deep does not fit into %.4g mm of stock.', $hole->depth->inMm(), $thickness->inMm()));
        }

        return $hole;
    }
}
