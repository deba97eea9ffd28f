<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\Device;
use App\Gate\ReadBadge;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;

final class ReadController
{
    public function store(Request $request, ReadBadge $read, #[CurrentUser('device')] Device $device): ReadResource
    {
        /** @var array{id: string, badge: string, companion_badge?: string|null, request?: array<string, mixed>} $given */
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'badge' => ['required', 'string', 'max:64'],
            'companion_badge' => ['nullable', 'string', 'max:64'],
            'request' => ['nullable', 'array:material,operation,diameter_mm'],
            'request.material' => ['string', 'max:60'],
            'request.operation' => ['string', 'max:60'],
            'request.diameter_mm' => ['numeric', 'gt:0', 'lt:200'],
        ]);

        return new ReadResource($read($device, $given));
    }
}
