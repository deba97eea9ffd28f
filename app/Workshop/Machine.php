<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Support\BootsByName;
use App\Workshop\Checks\Check;
use App\Workshop\Checks\CheckKind;
use App\Workshop\Day\DayCheck;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use MillStep\Core\Workshop\MachineTraits;
use MillStep\Core\Workshop\Speeds;

/**
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property string $kind
 * @property non-empty-list<float>|null $speeds_rpm
 * @property list<string>|null $speed_names
 * @property float|null $min_rpm
 * @property float|null $max_rpm
 * @property string|null $speed_change
 * @property array{unit: 'mm'|'in', graduation_mm: float, travel_mm: float}|null $depth_scale
 * @property float|null $chuck_max_mm
 * @property float|null $through_bore_mm
 * @property array{graduation_mm: float, divisions_per_turn: int, reads_diameter: bool}|null $dial
 * @property array{graduation_mm: float, divisions_per_turn: int, reads_diameter: bool}|null $cross_dial
 * @property int|null $taper
 * @property 'top'|'bottom'|null $fastest_belt  of its cone pulleys; null for a machine without them, or where nobody said
 * @property bool|null $reverses  its spindle turns both ways; null where nobody said
 * @property string|null $stop  where its emergency stop is, and how it works; like the three that follow, in the shop's own words
 * @property string|null $isolator
 * @property string|null $brake
 * @property string|null $locks
 * @property list<array{trait: string, from: string|null, to: string|null, at: string}> $trait_changes  since when it says otherwise
 * @property string $language  what its screen speaks until a badge is held to it
 * @property bool $in_service
 * @property string|null $service_note
 * @property Collection<int, Crib> $cribs
 * @property Check|null $lastRunOut
 * @property Check|null $lastTram
 * @property Collection<int, Model> $permits  that running it alone takes, all of them: the room of competency says which
 * @property Collection<int, ServiceChange> $services
 * @property Collection<int, DayCheck> $dayChecks
 *
 * @method BelongsToMany<Model, Machine> permits()
 */
final class Machine extends Model
{
    use BootsByName;

    /** What a workshop file and a machine's form hold of it. */
    public const FIELDS = [
        'name', 'kind', 'speeds_rpm', 'speed_names', 'min_rpm', 'max_rpm', 'speed_change', 'depth_scale',
        'chuck_max_mm', 'through_bore_mm', 'dial', 'cross_dial', 'taper', 'fastest_belt',
        'reverses', 'stop', 'isolator', 'brake', 'locks',
    ];

    /** When clocks go back. */
    private const LONGEST_DAY_H = 25;

    protected $table = 'workshop_machines';

    protected $guarded = [];

    protected $attributes = ['language' => 'en', 'trait_changes' => '[]'];

    protected function casts(): array
    {
        return [
            'speeds_rpm' => 'array',
            'speed_names' => 'array',
            'reverses' => 'boolean',
            'min_rpm' => 'float',
            'max_rpm' => 'float',
            'depth_scale' => 'array',
            'chuck_max_mm' => 'float',
            'through_bore_mm' => 'float',
            'dial' => 'array',
            'cross_dial' => 'array',
            'in_service' => 'boolean',
            'trait_changes' => 'array',
        ];
    }

    /** What makes it another machine to somebody's hand than one that they know. */
    public function traits(): MachineTraits
    {
        return MachineTraits::fromRecord($this->only(self::FIELDS));
    }

    /** The shop's first machine of a kind, those in service first. */
    public static function firstOfKind(?string $kind): ?self
    {
        return $kind === null ? null : self::query()->with('cribs.tools')->where('kind', $kind)
            ->orderByDesc('in_service')->orderBy('id')->first();
    }

    public function getRouteKeyName(): string
    {
        return 'slug';
    }

    /** @return BelongsToMany<Crib, $this> */
    public function cribs(): BelongsToMany
    {
        $cribs = $this->belongsToMany(Crib::class, 'workshop_crib_machine');
        $cribs->orderBy('workshop_cribs.id');

        return $cribs;
    }

    /** @return HasMany<ServiceChange, $this> the latest first */
    public function services(): HasMany
    {
        $services = $this->hasMany(ServiceChange::class);
        $services->orderByDesc('at')->orderByDesc('id');

        return $services;
    }

    /** @return HasMany<DayCheck, $this> of today, in whatever zone the shop is, the latest first */
    public function dayChecks(): HasMany
    {
        $checks = $this->hasMany(DayCheck::class);
        $checks->where('at', '>', CarbonImmutable::now()->subHours(self::LONGEST_DAY_H))->orderByDesc('at')->orderByDesc('key');

        return $checks;
    }

    /** @return HasOne<Check, $this> */
    public function lastRunOut(): HasOne
    {
        return $this->lastCheck(CheckKind::RunOut);
    }

    /** @return HasOne<Check, $this> */
    public function lastTram(): HasOne
    {
        return $this->lastCheck(CheckKind::Tram);
    }

    /** @return HasOne<Check, $this> */
    private function lastCheck(CheckKind $kind): HasOne
    {
        $last = $this->hasOne(Check::class);
        $last->ofMany(['at' => 'max', 'id' => 'max'], static fn (Builder $checks): Builder => $checks->where('kind', $kind->value));

        return $last;
    }

    /** @return array<string, mixed> as the core's plans read it */
    public function spec(): array
    {
        return array_filter(
            [
                ...$this->only(self::FIELDS),
                'in_service' => $this->in_service,
                'run_out_mm' => $this->lastRunOut->found['swing_mm'] ?? null,
                'slope_ratio' => $this->lastTram->found['slope_ratio'] ?? null,
            ],
            static fn (mixed $part): bool => $part !== null,
        );
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

    /** The cribs beside it, laid together. */
    public function tools(): ToolsAtHand
    {
        return ToolsAtHand::of($this->cribs);
    }

    public function cribNames(): string
    {
        return $this->cribs->pluck('name')->implode(', ');
    }
}
