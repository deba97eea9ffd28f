<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/** Equal holes on a line: outwards from the middle by a pitch, or so many between two insets. */
final readonly class HoleLine implements Operation
{
    private const MOST_HOLES = 10_000;

    /**
     * @param  Length|null  $pitch  for holes outwards from the middle
     * @param  int|null  $count  and
     * @param  Length|null  $endInset  for a given number between two insets
     */
    public function __construct(
        public Length $length,
        public ?Length $pitch,
        public ?int $count,
        public ?Length $endInset,
        public Length $hole,
        public float $edgeRatio,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $length = $fields->length('length_mm');
        $hole = $fields->length('hole_mm');
        $edgeRatio = $fields->notNegative('edge_ratio', 1.5);
        if ($fields->choice('mode', ['from_centre', 'fit_count']) === 'fit_count') {
            return new self(
                $length,
                null,
                $fields->integer('count', 1, self::MOST_HOLES),
                $fields->lengthOrZero('end_inset_mm'),
                $hole,
                $edgeRatio,
            );
        }
        $pitch = $fields->length('pitch_mm');

        return $length->ratioTo($pitch) <= self::MOST_HOLES ? new self($length, $pitch, null, null, $hole, $edgeRatio)
            : throw $fields->fault('pitch_mm', 'planning.too_many_holes', ['most' => self::MOST_HOLES]);
    }

    /** @throws Impossible when the insets overlap or neighbours run into each other */
    public function compute(): LineLayout
    {
        return $this->pitch !== null
            ? $this->fromCentre($this->pitch)
            : $this->fitCount($this->count ?? 1, $this->endInset ?? Length::zero());
    }

    private function fromCentre(Length $pitch): LineLayout
    {
        $middle = $this->length->times(0.5);
        $each = 0;
        while ($middle->minus($pitch->times($each + 1))->isAtLeast($this->leastInset())) {
            $each++;
        }
        $positions = array_map(static fn (int $i): Length => $middle->plus($pitch->times($i)), range(-$each, $each));

        return $this->layout($positions, $positions[0], $each > 0 || $pitch->isGreaterThan($this->hole) ? $pitch : null);
    }

    private function fitCount(int $count, Length $inset): LineLayout
    {
        $span = $this->length->minus($inset->times(2));
        if ($span->isLessThan(Length::zero())) {
            throw Impossible::because('end_inset_mm', 'planning.insets_too_long');
        }
        if ($count === 1) {
            $middle = $this->length->times(0.5);

            return $this->layout([$middle], $middle, null);
        }
        $positions = array_map(static fn (int $i): Length => $inset->plus($span->times($i / ($count - 1))), range(0, $count - 1));

        return $this->layout($positions, $inset, $span->times(1 / ($count - 1)));
    }

    /** @param  list<Length>  $positions */
    private function layout(array $positions, Length $inset, ?Length $pitch): LineLayout
    {
        $ligament = $pitch?->minus($this->hole);
        if ($pitch !== null && $pitch->isAtMost($this->hole)) {
            throw Impossible::because(
                $this->pitch === null ? 'count' : 'pitch_mm',
                'planning.holes_meet',
                ['apart_mm' => $pitch->inMm(), 'wide_mm' => $this->hole->inMm()],
            );
        }

        return new LineLayout(count($positions), $positions, $inset, $inset->isAtLeast($this->leastInset()), $ligament);
    }

    private function leastInset(): Length
    {
        return $this->hole->times($this->edgeRatio);
    }
}
