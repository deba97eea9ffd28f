<?php

declare(strict_types=1);

namespace App\Policy;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use MillStep\Core\Border\Fields;
use MillStep\Core\Policy\ShopPolicy;

/**
 * The shop's rules from an instant on. A change is a new row.
 *
 * @property int $id
 * @property array<string, mixed> $settings
 * @property string|null $note
 * @property int|null $set_by  whoever did
 * @property CarbonImmutable $in_force_from
 */
final class Policy extends Model
{
    public $timestamps = false;

    protected $table = 'workshop_policies';

    protected $guarded = [];

    protected static function booted(): void
    {
        self::created(static fn () => app(ShopNow::class)->forget());
    }

    protected function casts(): array
    {
        return ['settings' => 'array', 'in_force_from' => 'immutable_datetime'];
    }

    /**
     * What is in force now; without a row of its own, a shop starts with the careful defaults.
     *
     * @throws \MillStep\Core\Border\InvalidInput when a stored setting is not readable
     */
    public static function inForce(): ShopPolicy
    {
        return ShopPolicy::fromFields(Fields::of(self::settingsInForce()));
    }

    /** @return array<string, mixed> as they are stored, for the core's plans */
    public static function settingsInForce(): array
    {
        return self::current()->settings ?? [];
    }

    /** Null where the shop has not set anything yet. */
    public static function current(): ?self
    {
        return self::query()->where('in_force_from', '<=', CarbonImmutable::now())->latest('in_force_from')->latest('id')->first();
    }
}
