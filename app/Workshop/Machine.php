<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Competency\Permit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use MillStep\Core\Workshop\Speeds;

/**
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property string $kind
 * @property non-empty-list<float>|null $speeds_rpm
 * @property float|null $min_rpm
 * @property float|null $max_rpm
 * @property string|null $speed_change
 * @property array{unit: 'mm'|'in', graduation_mm: float, travel_mm: float}|null $depth_scale
 * @property float|null $chuck_max_mm
 * @property bool $in_service
 * @property string|null $service_note
 * @property Crib|null $crib
 * @property Collection<int, Permit> $permits
 */
final class Machine extends Model
{
    protected $table = 'workshop_machines';

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'speeds_rpm' => 'array',
            'min_rpm' => 'float',
            'max_rpm' => 'float',
            'depth_scale' => 'array',
            'chuck_max_mm' => 'float',
            'in_service' => 'boolean',
        ];
    }

    public function getRouteKeyName(): string
    {
        return 'slug';
    }

    /** @return BelongsTo<Crib, $this> */
    public function crib(): BelongsTo
    {
        return $this->belongsTo(Crib::class);
    }

    /**
     * The permits that running this machine alone takes, all of them.
     *
     * @return BelongsToMany<Permit, $this>
     */
    public function permits(): BelongsToMany
    {
        return $this->belongsToMany(Permit::class, 'competency_machine_permit');
    }

    /** @return array<string, mixed> as the core's plans read it */
    public function spec(): array
    {
        return array_filter([
            'name' => $this->name,
            'kind' => $this->kind,
            'speeds_rpm' => $this->speeds_rpm,
            'min_rpm' => $this->min_rpm,
            'max_rpm' => $this->max_rpm,
            'speed_change' => $this->speed_change,
            'depth_scale' => $this->depth_scale,
            'chuck_max_mm' => $this->chuck_max_mm,
            'in_service' => $this->in_service,
        ], static fn (mixed $part): bool => $part !== null);
    }

    /** Null for what has no spindle speeds of its own, a marking-out table for one. */
    public function speeds(): ?Speeds
    {
        return match (true) {
            $this->speeds_rpm !== null => Speeds::steps(array_map(floatval(...), $this->speeds_rpm)),
            $this->min_rpm !== null && $this->max_rpm !== null => Speeds::range($this->min_rpm, $this->max_rpm),
            default => null,
        };
    }
}
