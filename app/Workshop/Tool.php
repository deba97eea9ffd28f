<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A tool of a crib. `details` holds what only its kind has: `thread` and `type` of a tap, `method` of a reamer,
 * `taper` and `flute_length_mm` of a drill, `diameters_mm` of a step drill, `gauge` of a gauge,
 * `enters_mm` of a boring bar, `reach_mm` of a boring bar or a hole saw.
 *
 * @property int $id
 * @property string $kind
 * @property string $designation
 * @property string|null $diameter_mm decimal
 * @property 'normal'|'zero_rake' $edge
 * @property 'good'|'dull'|'regrind'|'worn_out'|'lost' $condition
 * @property array{thread?: string, type?: string, method?: string, taper?: int, flute_length_mm?: float,
 *     point_angle_deg?: float, diameters_mm?: list<float>,
 *     gauge?: string, enters_mm?: float, reach_mm?: float} $details
 * @property Crib $crib
 */
final class Tool extends Model
{
    use SoftDeletes;

    public const KINDS = ['drill', 'step_drill', 'tap', 'reamer', 'centre_drill', 'parallel', 'gauge', 'holding', 'boring_bar', 'hole_saw'];

    public const CONDITIONS = ['good', 'dull', 'regrind', 'worn_out', 'lost'];

    public $timestamps = false;

    protected $table = 'workshop_tools';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['details' => 'array'];
    }

    /** @return BelongsTo<Crib, $this> */
    public function crib(): BelongsTo
    {
        return $this->belongsTo(Crib::class);
    }

    public function diameter(): ?float
    {
        return $this->diameter_mm === null ? null : (float) $this->diameter_mm;
    }

    /** Only what is fit to use goes into plans. */
    public function fit(): bool
    {
        return $this->condition === 'good';
    }
}
