<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Border\Operation;

/**
 * The holes of a flat plate: a line, a circle, a rectangle or single points, from a corner or the middle, judged
 * for edge distance and for what is left between them, each coordinate as it is set on rule, parallels or readout.
 */
final readonly class LayoutPlan implements Operation
{
    public const PATTERNS = ['line', 'circle', 'rectangle', 'points'];

    public const SETTINGS = ['rule', 'stack', 'readout'];

    private const MOST_HOLES = 400;

    /** A stack is built exactly if it can be, else as near as this. */
    private const STACK_TOLERANCES = [0.0, 0.02, 0.05, 0.1];

    /** @param  list<Point>  $points  from the lower left corner */
    private function __construct(
        public Length $length,
        public Length $width,
        public Length $hole,
        public float $edgeRatio,
        public string $datum,
        public string $pattern,
        public array $points,
        public string $setting,
        public Length $graduation,
        /** @var list<float> */
        public array $parallels,
    ) {
    }

    public static function fromFields(Fields $fields): static
    {
        $plate = $fields->object('plate');
        $length = $plate->length('length_mm');
        $width = $plate->length('width_mm');
        $hole = $fields->length('hole_mm');
        $edgeRatio = $fields->notNegative('edge_ratio', 1.5);
        $datum = $fields->choice('datum', ['corner', 'centre'], 'corner');
        $pattern = $fields->choice('pattern', self::PATTERNS);
        $points = LayoutPattern::points($fields, $pattern, $datum, $length, $width, $hole, $edgeRatio);
        if (count($points) > self::MOST_HOLES) {
            throw $fields->fault($pattern, 'planning.too_many_holes', ['most' => self::MOST_HOLES]);
        }

        return new self(
            $length,
            $width,
            $hole,
            $edgeRatio,
            $datum,
            $pattern,
            $points,
            $fields->choice('setting', self::SETTINGS, 'rule'),
            $fields->length('rule_graduation_mm', 0.5),
            $fields->has('parallels') ? $fields->positives('parallels') : [],
        );
    }

    /** @throws CoreException when a hole lies off the plate or runs into its neighbour */
    public function compute(): LayoutResult
    {
        $wanted = $this->hole->times($this->edgeRatio);
        $missing = $holes = [];
        foreach ($this->points as $index => $point) {
            $edge = $this->edge($point);
            if ($edge->isLessThan($this->hole->times(0.5))) {
                throw Impossible::because(
                    $this->pattern,
                    'planning.hole_off_plate',
                    ['hole' => self::name($index), 'edge_mm' => $edge->inMm()],
                );
            }
            [$datumX, $datumY] = $this->datum === 'corner' ? [$point->x, $point->y] : [
                $point->x->minus($this->length->times(0.5)),
                $point->y->minus($this->width->times(0.5)),
            ];
            $holes[] = new LayoutHole(
                self::name($index),
                $point->x,
                $point->y,
                $datumX,
                $datumY,
                $edge,
                $edge->isAtLeast($wanted),
                $this->set($point->x, $datumX, $missing),
                $this->set($point->y, $datumY, $missing),
            );
        }
        $ligament = $this->ligament();
        if ($ligament?->isAtMost(Length::zero()) === true) {
            throw Impossible::because(
                $this->pattern,
                'planning.holes_overlap',
                ['missing_mm' => -$ligament->inMm()],
            );
        }
        $close = array_filter($holes, static fn (LayoutHole $hole): bool => ! $hole->edgeOk);
        if ($close !== []) {
            $missing[] = Message::of('planning.lacks.edge', [
                'count' => count($close),
                'holes' => Message::allOf(array_values(array_map(static fn (LayoutHole $hole): string => $hole->name, $close))),
                'least_mm' => $wanted->inMm(),
                'edge_ratio' => $this->edgeRatio,
            ]);
        }
        $edges = array_map(static fn (LayoutHole $hole): float => $hole->edge->inMm(), $holes);

        return new LayoutResult(
            count($holes),
            $holes,
            $wanted,
            Length::mm(min([INF, ...$edges])),
            $ligament,
            Message::distinct($missing),
            $missing === [],
        );
    }

    /** A, B … Z, AA, AB … */
    private static function name(int $index): string
    {
        return ($index >= 26 ? self::name(intdiv($index, 26) - 1) : '').chr(65 + $index % 26);
    }

    private function edge(Point $point): Length
    {
        return Length::mm(
            min($point->x->inMm(), $point->y->inMm(), $this->length->minus($point->x)->inMm(), $this->width->minus($point->y)->inMm()),
        );
    }

    private function ligament(): ?Length
    {
        $least = INF;
        foreach ($this->points as $i => $a) {
            foreach (array_slice($this->points, $i + 1) as $b) {
                $least = min($least, hypot($a->x->inMm() - $b->x->inMm(), $a->y->inMm() - $b->y->inMm()));
            }
        }

        return is_finite($least) ? Length::mm($least)->minus($this->hole) : null;
    }

    /** @param  list<Message>  $missing */
    private function set(Length $fromCorner, Length $fromDatum, array &$missing): LayoutSetting
    {
        if ($this->setting === 'readout') {
            return new LayoutSetting($fromDatum, Length::zero());
        }
        if ($this->setting === 'rule') {
            $lines = (int) round($fromDatum->ratioTo($this->graduation));
            $value = $this->graduation->times($lines);

            return new LayoutSetting($value, $value->minus($fromDatum));
        }
        // A stack stands on the table, so it always counts from the edge.
        foreach ($this->parallels === [] ? [] : self::STACK_TOLERANCES as $tolerance) {
            try {
                $stack = ParallelStack::fromFields(
                    Fields::of(['height_mm' => $fromCorner->inMm(), 'available' => $this->parallels, 'tolerance_mm' => $tolerance]),
                )->compute();

                return new LayoutSetting($stack->height, $stack->error, $stack->pieces);
            } catch (NoCandidate) {
                // A little less exact, then.
            }
        }
        $missing[] = $this->parallels === [] ? Message::of('planning.lacks.parallels') : Message::of('planning.lacks.stack', [
            'within_mm' => self::STACK_TOLERANCES[count(self::STACK_TOLERANCES) - 1],
            'height_mm' => $fromCorner->inMm(),
        ]);

        return new LayoutSetting($fromCorner, Length::zero());
    }
}
