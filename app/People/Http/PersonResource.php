<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\SecondFactor;
use App\People\User;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * The signed-in person, as the front end needs them.
 *
 * @mixin User
 *
 * @property User $resource
 */
final class PersonResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'email' => $this->email,
            'pin' => $this->pin_hash === null ? 'none' : 'set',
            'second_factor' => match (true) {
                $this->totp_confirmed_at !== null => 'on',
                SecondFactor::isWantedOf($this->resource) => 'wanted',
                default => 'off',
            },
            'role' => $this->role->value,
            'units' => $this->units,
            'language' => $this->language,
            'mail_when_waiting' => $this->mail_when_waiting,
        ];
    }
}
