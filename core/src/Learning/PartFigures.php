<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\Length;
use MillStep\Core\Planning\Figure;

/** The figures that bench work on a part may bind to; what they rest on is workshop practice and plain geometry. */
final class PartFigures
{
    /** What one setting of a rule by eye is off (workshop practice). */
    private const ONE_STEP_MM = 0.2;

    private const STEPS = 5;

    /** The tips of an ordinary caliper's inside jaws are so wide (workshop practice). */
    private const TIPS_MM = 1.0;

    /** Two readings further apart than that are both taken again (workshop practice). */
    private const APART_MM = 0.05;

    /** Nearer to an edge than so many diameters a hole bulges it (workshop practice). */
    private const EDGE = 1.5;

    /** @return array<string, Figure> by key */
    public static function of(PartShape $part): array
    {
        $one = Length::mm(self::ONE_STEP_MM);
        $figures = [
            Figure::length('plate.thickness', $part->thickness, 'lesson.thickness'),
            Figure::length('chain.one', $one, 'lesson.chain_one')->teaching(),
            Figure::text('chain.steps', (string) self::STEPS, 'lesson.chain_one', []),
            Figure::length('chain.all', $one->times(self::STEPS), 'lesson.chain_all', 'all = steps · one', [
                'steps' => (float) self::STEPS, 'one_mm' => self::ONE_STEP_MM,
            ])->teaching(),
            Figure::fine('readers.apart', Length::mm(self::APART_MM), 'lesson.readers', '', [])->teaching(),
            Figure::text('prick.angle', '60°', 'lesson.punch_angle', []),
            Figure::text('punch.angle', '90°', 'lesson.punch_angle', []),
        ];
        foreach ($part->marks as $mark) {
            $figures[] = Figure::length("mark.$mark->id.x", $mark->x, 'lesson.from_datum');
            $figures[] = Figure::length("mark.$mark->id.y", $mark->y, 'lesson.from_datum');
        }
        $mark = $part->mark();
        if ($mark !== null) {
            $figures = [...$figures, ...self::about($mark)];
        }

        return array_combine(array_map(static fn (Figure $figure): string => $figure->key, $figures), $figures);
    }

    /** @return list<Figure> */
    private static function about(PartMark $mark): array
    {
        $d = $mark->diameter->inMm();
        $small = $d - sqrt(max(0.0, $d ** 2 - self::TIPS_MM ** 2));

        return [
            Figure::length('mark.x', $mark->x, 'lesson.from_datum'),
            Figure::length('mark.y', $mark->y, 'lesson.from_datum'),
            Figure::length('hole.diameter', $mark->diameter, 'lesson.diameter'),
            Figure::length('edge.has', $mark->x->isLessThan($mark->y) ? $mark->x : $mark->y, 'lesson.from_datum'),
            Figure::length('edge.least', $mark->diameter->times(self::EDGE), 'lesson.edge_least', 'least = k · d', [
                'k' => self::EDGE, 'd_mm' => $d,
            ])->teaching(),
            Figure::length('caliper.tips', Length::mm(self::TIPS_MM), 'lesson.caliper_tips')->teaching(),
            Figure::fine('caliper.small', Length::mm($small), 'lesson.caliper_small', 'small = d − √(d² − w²)', [
                'd_mm' => $d, 'w_mm' => self::TIPS_MM,
            ])->teaching(),
        ];
    }
}
