<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Stock;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** How many bars a list of pieces takes, and which pieces come off which bar. */
final readonly class CutList implements Operation
{
    private const MOST_PIECES = 5_000;

    /** @param  list<float>  $lengths one entry a piece, in millimetres, longest first */
    private function __construct(public float $barLengthMm, public float $kerfMm, public float $usableMm, public array $lengths)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $bar = $fields->length('bar_length_mm');
        $kerf = $fields->lengthOrZero('kerf_mm');
        $usable = $bar->minus($fields->lengthOrZero('end_trim_mm', 0));
        if (! $usable->isGreaterThan(Length::zero())) {
            throw Impossible::because('end_trim_mm', 'planning.nothing_left_of_bar');
        }
        $lengths = [];
        foreach ($fields->objects('pieces', 1) as $piece) {
            $length = $piece->length('length_mm');
            $quantity = $piece->integer('quantity', 0);
            if ($length->isGreaterThan($usable)) {
                throw Impossible::because(
                    'pieces',
                    'planning.piece_too_long',
                    ['piece_mm' => $length->inMm(), 'bar_mm' => $usable->inMm()],
                );
            }
            if (count($lengths) + $quantity > self::MOST_PIECES) {
                throw $fields->fault('pieces', 'planning.too_many_pieces', ['most' => self::MOST_PIECES]);
            }
            array_push($lengths, ...array_fill(0, $quantity, $length->inMm()));
        }
        if ($lengths === []) {
            throw $fields->fault('pieces', 'planning.no_pieces');
        }
        rsort($lengths);

        return new self($bar->inMm(), $kerf->inMm(), $usable->inMm(), $lengths);
    }

    public function compute(): CutPlan
    {
        // A kerf more of bar and of every piece makes the last piece's missing cut come out even.
        $capacity = $this->usableMm + $this->kerfMm;
        $costs = array_map(fn (float $length): float => $length + $this->kerfMm, $this->lengths);
        $lowerBound = (int) ceil(array_sum($costs) / $capacity - 1e-9);
        $layout = (new BarPacking($costs, $capacity))->pack();

        return new CutPlan(
            count($layout),
            $lowerBound,
            array_map(fn (array $bar): array => array_map(fn (int $piece): float => $this->lengths[$piece], $bar), $layout),
            Length::mm(count($layout) * $this->barLengthMm - array_sum($this->lengths)),
        );
    }
}
