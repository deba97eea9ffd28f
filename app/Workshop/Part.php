<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Language\SpeaksLanguages;
use Illuminate\Database\Eloquent\Model;
use MillStep\Core\Border\Length;
use MillStep\Core\Learning\PartMark;
use MillStep\Core\Learning\PartShape;

/**
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property string $material
 * @property string $stock
 * @property float $thickness_mm
 * @property list<array{id: string, x_mm: float, y_mm: float, diameter_mm: float, lower_mm: float, upper_mm: float,
 *     position_tolerance_mm: float}> $holes
 */
final class Part extends Model
{
    use SpeaksLanguages;

    protected $table = 'workshop_parts';

    protected $guarded = [];

    public static function spoken(): array
    {
        return ['name', 'stock'];
    }

    protected function casts(): array
    {
        return ['thickness_mm' => 'float', 'holes' => 'array'];
    }

    public function hasHole(string $id): bool
    {
        return in_array($id, array_column($this->holes, 'id'), true);
    }

    /** As bench work needs it; the mark that a lesson is about, where it names one. */
    public function shape(?string $about): PartShape
    {
        return new PartShape(Length::mm($this->thickness_mm), array_map(static fn (array $hole): PartMark => new PartMark(
            $hole['id'],
            Length::mm($hole['x_mm']),
            Length::mm($hole['y_mm']),
            Length::mm($hole['diameter_mm']),
        ), $this->holes), $about);
    }

    /**
     * The hole that is asked for, or the part's first where it has none of that name.
     *
     * @return array{id: string, x_mm: float, y_mm: float, diameter_mm: float, lower_mm: float, upper_mm: float,
     *     position_tolerance_mm: float}|null
     */
    public function mainHole(?string $id): ?array
    {
        return $id !== null && $this->hasHole($id) ? $this->hole($id) : $this->holes[0] ?? null;
    }

    /**
     * @return array{id: string, x_mm: float, y_mm: float, diameter_mm: float, lower_mm: float, upper_mm: float,
     *     position_tolerance_mm: float}
     *
     * @throws \OutOfBoundsException when the part has no such hole
     */
    public function hole(string $id): array
    {
        foreach ($this->holes as $hole) {
            if ($hole['id'] === $id) {
                return $hole;
            }
        }
        throw new \OutOfBoundsException("The part {$this->name} has no hole $id.");
    }
}
