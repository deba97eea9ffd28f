<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Layout;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;

/** Where the holes of a pattern lie, from the plate's lower left corner. */
final class LayoutPattern
{
    /**
     * @param  string  $pattern  one of LayoutPlan::PATTERNS; its own key of the fields says more
     * @param  'corner'|'centre'  $datum  from which given coordinates count
     * @return list<Point>
     *
     * @throws CoreException
     */
    public static function points(
        Fields $fields,
        string $pattern,
        string $datum,
        Length $length,
        Length $width,
        Length $hole,
        float $edgeRatio,
    ): array {
        return match ($pattern) {
            'line' => self::line($fields->object('line'), $length, $width, $hole, $edgeRatio),
            'circle' => self::circle($fields->object('circle'), $datum, $length, $width, $hole),
            'rectangle' => self::rectangle($fields->object('rectangle'), $length, $width, $hole, $edgeRatio),
            default => self::single($fields, $datum, $length, $width),
        };
    }

    /** @return list<Point> */
    private static function line(Fields $line, Length $length, Length $width, Length $hole, float $edgeRatio): array
    {
        $y = $line->has('offset_mm') ? $line->length('offset_mm') : $width->times(0.5);

        return array_map(
            static fn (Length $x): Point => new Point($x, $y),
            self::along($line, $length, $hole, $edgeRatio, 'mode', 'pitch_mm', 'count', 'end_inset_mm'),
        );
    }

    /** @return list<Point> */
    private static function circle(Fields $circle, string $datum, Length $length, Length $width, Length $hole): array
    {
        [$middleX, $middleY] = [$length->times(0.5), $width->times(0.5)];
        $from = static fn (string $key, Length $middle): Length => $circle->has($key)
            ? ($datum === 'corner' ? $circle->coordinate($key) : $middle->plus($circle->coordinate($key)))
            : $middle;
        $x = $from('centre_x_mm', $middleX);
        $y = $from('centre_y_mm', $middleY);
        $points = (new HoleCircle($circle->integer('count', 1, 400), $circle->length('circle_mm'), $circle->number('start_deg', 0), $x, $y,
            $hole))->compute()->points;

        return $circle->flag('middle', false) ? [...$points, new Point($x, $y)] : $points;
    }

    /**
     * Rows and columns, each by its inset or by its pitch from the middle; with one in the middle where asked.
     *
     * @return list<Point>
     */
    private static function rectangle(Fields $grid, Length $length, Length $width, Length $hole, float $edgeRatio): array
    {
        $xs = self::along($grid, $length, $hole, $edgeRatio, 'mode', 'pitch_x_mm', 'columns', 'inset_x_mm');
        $ys = self::along($grid, $width, $hole, $edgeRatio, 'mode', 'pitch_y_mm', 'rows', 'inset_y_mm');
        $points = [];
        foreach ($ys as $row => $y) {
            // There and back again: the way the hand goes round the plate.
            foreach ($row % 2 === 0 ? $xs : array_reverse($xs) as $x) {
                $points[] = new Point($x, $y);
            }
        }
        if ($grid->flag('middle', false)) {
            $points[] = new Point($length->times(0.5), $width->times(0.5));
        }

        return $points;
    }

    /**
     * Coordinates in one direction: a number of holes between two insets, a number at a pitch about the middle,
     * or at a pitch from the middle as far as the edge distance allows.
     *
     * @return list<Length>
     */
    private static function along(
        Fields $given,
        Length $length,
        Length $hole,
        float $edgeRatio,
        string $mode,
        string $pitchKey,
        string $countKey,
        string $insetKey,
    ): array {
        if ($given->choice($mode, ['from_centre', 'fit_count'], 'fit_count') === 'fit_count') {
            return (new HoleLine($length, null, $given->integer($countKey, 1, 100), $given->lengthOrZero($insetKey), $hole,
                $edgeRatio))->compute()->positions;
        }
        $pitch = $given->length($pitchKey);
        if (! $given->has($countKey)) {
            return (new HoleLine($length, $pitch, null, null, $hole, $edgeRatio))->compute()->positions;
        }
        $count = $given->integer($countKey, 1, 100);
        $first = $length->times(0.5)->minus($pitch->times(($count - 1) / 2));

        return array_map(static fn (int $i): Length => $first->plus($pitch->times($i)), range(0, $count - 1));
    }

    /** @return list<Point> */
    private static function single(Fields $fields, string $datum, Length $length, Length $width): array
    {
        return array_map(static fn (Fields $point): Point => $datum === 'corner'
            ? new Point($point->coordinate('x_mm'), $point->coordinate('y_mm'))
            : new Point($length->times(0.5)->plus($point->coordinate('x_mm')), $width->times(0.5)->plus($point->coordinate('y_mm'))),
            $fields->objects('points', 1));
    }
}
