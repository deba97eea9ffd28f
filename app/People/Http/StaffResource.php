<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\BadgeDesk;
use App\People\Cohort;
use App\People\User;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin User */
final class StaffResource extends JsonResource
{
    public static $wrap = null;

    private ?string $link = null;

    /** @var array<int, true> */
    private static array $carried = [];

    /** @param  string|null  $link  of an invitation that no mail server carries; it goes out once */
    public static function one(User $person, #[\SensitiveParameter] ?string $link = null): self
    {
        self::$carried = app(BadgeDesk::class)->carried();
        $resource = new self($person->refresh()->load(['cohorts', 'signsFor']));
        $resource->link = $link;

        return $resource;
    }

    public static function everybody(): AnonymousResourceCollection
    {
        self::$carried = app(BadgeDesk::class)->carried();

        return self::collection(User::query()->with(['cohorts', 'signsFor'])->orderBy('name')->get());
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'email' => $this->email,
            'role' => $this->role->value,
            'cohorts' => $this->cohorts->map(static fn (Cohort $cohort): array => ['id' => $cohort->id, 'name' => $cohort->name])->all(),
            'all_cohorts' => $this->all_cohorts,
            'born_on' => $this->born_on?->format('Y-m-d'),
            'guardian_acknowledged_on' => $this->guardian_acknowledged_on?->format('Y-m-d'),
            'invited_at' => $this->invited_at?->toIso8601ZuluString(),
            'link' => $this->link,
            'joined' => $this->joined_at !== null,
            'badge' => isset(self::$carried[$this->id]),
            'active' => $this->active,
            'signs_for' => $this->signsFor->pluck('name')->all(),
            'pin' => match (true) {
                $this->pin_hash === null => 'none',
                $this->pin_locked_until !== null && $this->pin_locked_until->isFuture() => 'locked',
                default => 'set',
            },
            'second_factor' => $this->totp_confirmed_at !== null,
            'pin_set_at' => $this->pin_set_at?->toIso8601ZuluString(),
        ];
    }
}
