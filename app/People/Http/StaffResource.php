<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\BadgeDesk;
use App\People\Cohort;
use App\People\User;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin User */
final class StaffResource extends JsonResource
{
    public static $wrap = null;

    /** @param  string|null  $link  of an invitation that no mail server carries; it goes out once */
    private function __construct(User $person, private readonly bool $badge, #[\SensitiveParameter] private readonly ?string $link = null)
    {
        parent::__construct($person);
    }

    public static function one(User $person, #[\SensitiveParameter] ?string $link = null): self
    {
        return new self($person->refresh()->load(['cohorts', 'signsFor']), isset(app(BadgeDesk::class)->carried()[$person->id]), $link);
    }

    /** @return list<self> by name */
    public static function everybody(): array
    {
        $carried = app(BadgeDesk::class)->carried();

        return array_values(User::query()->with(['cohorts', 'signsFor'])->orderBy('name')->get()
            ->map(static fn (User $person): self => new self($person, isset($carried[$person->id])))->all());
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
            'badge' => $this->badge,
            'active' => $this->active,
            'forgotten' => $this->forgotten_at !== null,
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
