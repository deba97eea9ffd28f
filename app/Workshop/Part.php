<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Language\SpeaksLanguages;
use Illuminate\Database\Eloquent\Model;

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
