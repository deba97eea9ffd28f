<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/**
 * How closely a gauge repeats itself in this shop, from features that one reader read more than once with it: the standard
 * deviation of a reading, pooled over the features, and the repeatability limit of ISO 5725-6, √2 · 1.96 times as much.
 */
final readonly class GaugeRepeatability implements Operation
{
    private const LIMIT = 1.959963984540054 * M_SQRT2;

    /** @param  non-empty-list<non-empty-list<Length>>  $sets  the readings of one feature by one reader */
    private function __construct(private array $sets)
    {
    }

    public static function fromFields(Fields $fields): static
    {
        $sets = [];
        foreach ($fields->objects('sets', 1) as $set) {
            $readings = array_map(static fn (Fields $one): Length => $one->coordinate('mm'), $set->objects('readings', 2));
            $sets[] = count($readings) >= 2 ? $readings : throw $set->fault('readings', 'measure.read_twice');
        }

        return new self($sets !== [] ? $sets : throw $fields->fault('sets', 'input.empty'));
    }

    public function compute(): Repeatability
    {
        $squares = 0.0;
        $freedom = $readings = 0;
        foreach ($this->sets as $set) {
            $values = array_map(static fn (Length $value): float => $value->inMm(), $set);
            $mean = array_sum($values) / count($values);
            $squares += array_sum(array_map(static fn (float $value): float => ($value - $mean) ** 2, $values));
            $freedom += count($values) - 1;
            $readings += count($values);
        }
        $deviation = sqrt($squares / max(1, $freedom));

        return new Repeatability(count($this->sets), $readings, Length::mm($deviation), Length::mm(self::LIMIT * $deviation));
    }
}
