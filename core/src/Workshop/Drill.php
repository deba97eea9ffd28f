<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\NoCandidate;
use MillStep\Core\Border\Result;

/** One twist drill of a crib: its name there and its diameter. */
final readonly class Drill extends Result
{
    public function __construct(public string $designation, public Length $diameter)
    {
    }

    /**
     * @return non-empty-list<self>
     *
     * @throws \MillStep\Core\Border\InvalidInput
     */
    public static function set(Fields $fields, string $key = 'drills'): array
    {
        $set = array_map(
            static fn (Fields $drill): self => new self($drill->text('designation'), $drill->length('diameter_mm')),
            $fields->objects($key, 1),
        );

        return $set !== [] ? $set : throw $fields->fault($key, 'input.empty');
    }

    /**
     * The drill nearest to a diameter; of two equally near the larger.
     *
     * @param  list<self>  $drills
     */
    public static function nearest(array $drills, Length $aim): ?self
    {
        $best = null;
        foreach ($drills as $drill) {
            if ($best === null) {
                $best = $drill;

                continue;
            }
            $gap = $drill->diameter->minus($aim)->absolute();
            $bestGap = $best->diameter->minus($aim)->absolute();
            if ($gap->isLessThan($bestGap) || ($gap->equals($bestGap) && $drill->diameter->compareExactly($best->diameter) > 0)) {
                $best = $drill;
            }
        }

        return $best;
    }

    /**
     * The smallest drill that is at least `$aim`.
     *
     * @param  list<self>  $drills
     */
    public static function smallestAtLeast(array $drills, Length $aim): ?self
    {
        $best = null;
        foreach ($drills as $drill) {
            if ($drill->diameter->isAtLeast($aim) && ($best === null || $drill->diameter->compareExactly($best->diameter) < 0)) {
                $best = $drill;
            }
        }

        return $best;
    }

    /**
     * The drill of exactly this size.
     *
     * @param  non-empty-list<self>  $drills
     *
     * @throws NoCandidate naming the nearest
     */
    public static function ofSize(array $drills, Length $size): self
    {
        $nearest = self::nearest($drills, $size);

        return $nearest !== null && $nearest->diameter->equals($size) ? $nearest
            : throw NoCandidate::in(
                'drills',
                'planning.no_such_drill',
                [
                    'wanted_mm' => $size->inMm(),
                    ...$nearest === null ? [] : ['nearest' => $nearest->designation, 'nearest_mm' => $nearest->diameter->inMm()],
                ],
            );
    }
}
