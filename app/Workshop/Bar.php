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
    protected $table = 'workshop_bars';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['diameter_mm' => 'float', 'length_mm' => 'float', 'count' => 'integer'];
    }

    /**
     * Those of one material and diameter.
     *
     * @return list<array{length_mm: float, count: int}>
     */
    public static function inStock(string $material, float $diameterMm): array
    {
        return array_values(self::query()->where('material', $material)->whereBetween('diameter_mm', [$diameterMm - 0.05,
            $diameterMm + 0.05])->orderBy('length_mm')->get()
            ->map(static fn (self $bar): array => ['length_mm' => $bar->length_mm, 'count' => $bar->count])->all());
    }
}
