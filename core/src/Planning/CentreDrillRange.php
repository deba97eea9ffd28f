<?php

declare(strict_types=1);

namespace MillStep\Core\Planning;

use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;
use MillStep\Core\Measure\Length;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;

/** A centre drill and the work diameters it is meant for; no upper end means that size and over. */
final readonly class CentreDrillRange
{
    private function __construct(public string $size, public Length $pilot, public Length $from, public ?Length $to)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->text('size'),
            $fields->length('pilot_diameter_mm'),
            $fields->lengthOrZero('recommended_work_diameter_min_mm'),
            $fields->has('recommended_work_diameter_max_mm') ? $fields->length('recommended_work_diameter_max_mm') : null,
        );
    }

    /**
     * The sizes of centre_drills.csv; the work diameters are workshop practice.
     *
     * @param  'metric'|'inch'  $system
     * @return non-empty-list<self>
     */
    public static function shipped(string $system): array
    {
        $sizes = [];
        foreach (self::table() as $row) {
            if ($row['system'] === $system) {
                $sizes[] = $row['range'];
            }
        }

        return $sizes !== [] ? $sizes : throw BrokenTable::missing('centre_drills.csv');
    }

    public static function bodyOf(string $size): Length
    {
        foreach (self::table() as $row) {
            if ($row['range']->size === $size) {
                return $row['body'];
            }
        }
        throw new \OutOfBoundsException("No centre drill $size.");
    }

    /** @return list<array{system: string, range: self, body: Length}> */
    private static function table(): array
    {
        /** @var list<array{system: string, range: self, body: Length}>|null $table */
        static $table = null;

        return $table ??= Table::shipped('centre_drills.csv', ['system', 'size', 'pilot_diameter_mm', 'body_diameter_mm'])->map(static fn (Row $row): array => [
            'system' => $row->text('system'),
            'range' => new self($row->text('size'), $row->length('pilot_diameter_mm'), $row->length('recommended_work_diameter_min_mm'),
                $row->note('recommended_work_diameter_max_mm') === '' ? null : $row->length('recommended_work_diameter_max_mm')),
            'body' => $row->length('body_diameter_mm'),
        ]);
    }

    public function contains(Length $diameter): bool
    {
        return $diameter->isAtLeast($this->from) && ($this->to === null || $diameter->isAtMost($this->to));
    }

    /** @param  non-empty-list<self>  $sizes */
    public static function nearest(array $sizes, Length $diameter): self
    {
        usort($sizes, static fn (self $a, self $b): int => $a->gap($diameter) <=> $b->gap($diameter));

        return $sizes[0];
    }

    private function gap(Length $diameter): float
    {
        return max(0, $this->from->minus($diameter)->inMm(), $this->to === null ? 0 : $diameter->minus($this->to)->inMm());
    }
}
