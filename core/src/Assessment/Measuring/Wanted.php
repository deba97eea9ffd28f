<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment\Measuring;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Measure\CaliperTips;

/**
 * One way of measuring a part: what the drawing wants, what is typed for one reading of it, and what readings come to. A new
 * way is one class, named in `WaysOfMeasuring`.
 */
interface Wanted
{
    /**
     * @param  Fields  $fields  of the criterion, with what the part's drawing says of its hole
     * @param  array<string, Length>  $personal  the learner's own dimensions, by name
     *
     * @throws CoreException
     */
    public static function fromFields(Fields $fields, array $personal): static;

    /**
     * What was typed for one reading, understood.
     *
     * @param  array<string, string>  $typed
     * @param  'mm'|'in'  $units  of what names none
     * @param  Length  $zeroError  what the gauge shows where there is nothing
     * @param  CaliperTips|null  $tips  of the gauge, where it has inside jaws and they were measured
     * @return array<string, float|int|bool>
     *
     * @throws CoreException naming the field that cannot be understood
     */
    public function read(array $typed, string $units, Length $zeroError, ?CaliperTips $tips = null): array;

    /**
     * @param  non-empty-list<Fields>  $readings  as `read` gave them, in their order
     * @param  Length  $uncertainty  of the gauge
     *
     * @throws InvalidInput when a reading is not of this way
     */
    public function found(array $readings, Length $uncertainty): Found;

    /** @return 'length'|'place'|'plug'|'thread' what is typed for one reading */
    public static function asks(): string;

    /** Whether a gauge that may be wrong by so much to either side can tell at all. */
    public function canBeToldBy(Length $uncertainty): bool;

    /**
     * How far two readings of it lie apart: the one less the other, or from place to place; null where there is no figure.
     *
     * @throws InvalidInput
     */
    public function apart(Fields $one, Fields $other): ?Length;

    /** @return array{lower_mm?: float, upper_mm?: float} what the drawing wants, for screens and paper */
    public function limits(): array;
}
