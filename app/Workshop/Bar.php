<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Database\Eloquent\Model;

/**
 * Round bar in stock.
 *
 * @property int $id
 * @property string $material
 * @property float $diameter_mm
 * @property float $length_mm
 * @property int $count
 */
final class Bar extends Model
{
    private const MILL_MM = 0.05;

    protected $table = 'workshop_bars';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['diameter_mm' => 'float', 'length_mm' => 'float', 'count' => 'integer'];
    }

    /** Of that material and, but for what the mill leaves, of that diameter. */
    public function isLike(string $material, float $diameterMm): bool
    {
        return $this->material === $material && abs($this->diameter_mm - $diameterMm) <= self::MILL_MM;
    }
}
