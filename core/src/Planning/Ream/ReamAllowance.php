<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Ream;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Result;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;

/** How much a reamer of some diameters wants to cut: a row of reamer_allowance.csv, for one method. */
final readonly class ReamAllowance extends Result
{
    public function __construct(public Length $over, public Length $upTo, public Length $min, public Length $max)
    {
    }

    /**
     * @param  'hand'|'machine'  $method
     *
     * @throws InvalidInput
     */
    public static function fromFields(Fields $row, string $method): self
    {
        $allowance = new self(
            $row->lengthOrZero('diameter_min_mm'),
            $row->length('diameter_max_mm'),
            $row->lengthOrZero("{$method}_allowance_min_mm"),
            $row->length("{$method}_allowance_max_mm"),
        );

        return $allowance->min->isAtMost($allowance->max) ? $allowance
            : throw $row->fault("{$method}_allowance_max_mm", 'input.below', ['other' => "{$method}_allowance_min_mm"]);
    }

    /**
     * The shipped table, for one method.
     *
     * @param  'hand'|'machine'  $method
     * @return list<self>
     *
     * @throws BrokenTable
     */
    public static function shipped(string $method): array
    {
        /** @var array<string, list<self>> $tables */
        static $tables = [];

        return $tables[$method] ??= Table::shipped('reamer_allowance.csv', ['diameter_min_mm', 'diameter_max_mm',
            "{$method}_allowance_min_mm", "{$method}_allowance_max_mm"])->map(static function (Row $row) use ($method): self {
                $allowance = new self(
                    $row->length('diameter_min_mm'),
                    $row->length('diameter_max_mm'),
                    $row->length("{$method}_allowance_min_mm"),
                    $row->length("{$method}_allowance_max_mm"),
                );

                return $allowance->min->isAtMost($allowance->max)
                    ? $allowance
                    : throw $row->fault("{$method}_allowance_max_mm", 'lies below the minimum');
            });
    }

    public function covers(Length $diameter): bool
    {
        return $diameter->isGreaterThan($this->over) && $diameter->isAtMost($this->upTo);
    }

    public function judge(Length $allowance): ReamVerdict
    {
        return match (true) {
            $allowance->isLessThan($this->min) => ReamVerdict::Rubs,
            $allowance->isAtMost($this->max) => ReamVerdict::Good,
            $allowance->isAtMost($this->max->times(2)) => ReamVerdict::Heavy,
            default => ReamVerdict::Breaks,
        };
    }
}
