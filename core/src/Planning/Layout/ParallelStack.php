<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Border\Operation;

/** The fewest parallels that make a height; then the smallest error, then the larger largest piece. */
final readonly class ParallelStack implements Operation
{
    private const MOST_PIECES = 200;

    /** @param  non-empty-list<Length>  $available largest first */
    private function __construct(public Length $height, public array $available, public int $maxPieces, public Length $tolerance)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $available = array_map(static fn (float $mm): Length => Length::mm($mm), $fields->positives('available'));
        if (count($available) > self::MOST_PIECES) {
            throw $fields->fault('available', 'input.too_many', ['most' => self::MOST_PIECES]);
        }
        usort($available, static fn (Length $a, Length $b): int => $b->compareExactly($a));

        return new self(
            $fields->length('height_mm'),
            $available,
            $fields->integer('max_pieces', 1, 8, 4),
            $fields->lengthOrZero('tolerance_mm', 0),
        );
    }

    /** @throws NoCandidate when no stack comes within the tolerance */
    public function compute(): Stack
    {
        for ($pieces = 1; $pieces <= min($this->maxPieces, count($this->available)); $pieces++) {
            $found = (new StackSearch($this->available, $this->height, $this->tolerance))->best($pieces);
            if ($found !== null) {
                $height = array_reduce($found, static fn (Length $sum, Length $piece): Length => $sum->plus($piece), Length::zero());

                return new Stack($found, $height, $height->minus($this->height));
            }
        }
        throw NoCandidate::in(
            'available',
            'planning.no_stack',
            [
                'pieces' => $this->maxPieces,
                'height_mm' => $this->height->inMm(),
                'nearest_mm' => $this->nearest()->inMm(),
            ],
        );
    }

    private function nearest(): Length
    {
        $pieces = $this->available;
        usort(
            $pieces,
            fn (Length $a, Length $b): int => $a->minus($this->height)->absolute()->compareExactly($b->minus($this->height)->absolute()),
        );

        return $pieces[0];
    }
}
