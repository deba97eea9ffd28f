<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\Device;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Gate;

/** @mixin Device */
final class DeviceResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $last = $this->tokens->whereNull('replaced_at')->max('expires_at');
        $expires = $last instanceof \DateTimeInterface ? CarbonImmutable::instance($last) : null;

        return [
            'id' => $this->id,
            'name' => $this->name,
            'machine' => ['slug' => $this->machine->slug, 'name' => $this->machine->name],
            'paired_by' => $this->pairedBy?->name,
            'paired_at' => $this->created_at->toIso8601ZuluString(),
            'last_seen_at' => $this->last_seen_at?->toIso8601ZuluString(),
            'expires_at' => $expires?->toIso8601ZuluString(),
            'state' => match (true) {
                $this->revoked_at !== null => 'revoked',
                $expires === null || $expires->isPast() => 'expired',
                default => 'paired',
            },
            'may_revoke' => Gate::allows('pair', $this->machine),
        ];
    }
}
