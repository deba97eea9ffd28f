<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\User;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin User */
final class StaffResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'email' => $this->email,
            'role' => $this->role->value,
            'cohort' => $this->cohort?->name,
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
