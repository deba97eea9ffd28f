<?php

declare(strict_types=1);

namespace App\Workshop\Gauges;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;
use MillStep\Core\Border\Length;
use MillStep\Core\Measure\CaliperTips;

/**
 * A measuring tool of the shop, with its record of checks.
 *
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property string $kind
 * @property float $resolution_mm
 * @property float $uncertainty_mm
 * @property float|null $tip_mm  how wide the inside jaws of a caliper are at their tips
 * @property CarbonImmutable|null $retired_at
 * @property Collection<int, GaugeCheck> $checks  the latest first
 */
final class Gauge extends Model
{
    public const KINDS = ['caliper', 'depth', 'micrometer', 'rule', 'plug', 'thread', 'square', 'pins'];

    protected $table = 'workshop_gauges';

    protected $guarded = [];

    protected $attributes = ['retired_at' => null];

    protected function casts(): array
    {
        return ['resolution_mm' => 'float', 'uncertainty_mm' => 'float', 'tip_mm' => 'float', 'retired_at' => 'immutable_datetime'];
    }

    public function getRouteKeyName(): string
    {
        return 'slug';
    }

    /** @return HasMany<GaugeCheck, $this> the latest first */
    public function checks(): HasMany
    {
        $checks = $this->hasMany(GaugeCheck::class);
        $checks->orderByDesc('checked_on')->orderByDesc('created_at');

        return $checks;
    }

    public function checkInForce(): ?GaugeCheck
    {
        return $this->checks->first();
    }

    /** What it shows where there is nothing, as it was found last. */
    public function zeroError(): Length
    {
        return Length::mm($this->checkInForce()->zero_error_mm ?? 0.0);
    }

    /** Never checked, or due before that day. */
    public function isPastDueOn(CarbonImmutable $day): bool
    {
        $check = $this->checkInForce();

        return $check === null || $check->due_on->lessThan($day->startOfDay());
    }

    /** Null where it has no inside jaws, or nobody has measured them. */
    public function tips(): ?CaliperTips
    {
        return $this->kind === 'caliper' && $this->tip_mm !== null ? new CaliperTips(Length::mm($this->tip_mm)) : null;
    }
}
