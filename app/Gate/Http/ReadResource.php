<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\BadgeRead;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin BadgeRead */
final class ReadResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'event' => $this->event,
            'person' => $this->user?->name,
            'decision' => $this->decision,
            'reasons' => $this->reasons,
            'missing' => $this->missing,
            'interlock' => $this->allows() ? 'on' : 'off',
            'read_at' => $this->read_at->toIso8601ZuluString('millisecond'),
        ];
    }
}
