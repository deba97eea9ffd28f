<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\Device;
use App\Gate\ReadBadge;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use MillStep\Core\Competency\Scope;

/** @phpstan-import-type Read from ReadBadge */
final class ReadController
{
    public function store(Request $request, ReadBadge $read, #[CurrentUser('device')] Device $device): ReadResource
    {
        /** @var Read $given */
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'intent' => ['required', 'in:start,finish,hand_over'],
            'badge' => ['required_without:follows', 'prohibits:follows', 'string', 'max:64'],
            'follows' => ['required_without:badge', 'uuid'],
            'companion_badge' => ['nullable', 'string', 'max:64'],
            'request' => ['nullable', 'array:material,operation,diameter_mm,thickness_mm'],
            'request.material' => ['string', 'max:60', 'regex:/^[a-z0-9_-]+$/i'],
            'request.operation' => ['string', 'in:'.implode(',', Scope::OPERATIONS)],
            'request.diameter_mm' => ['numeric', 'gt:0', 'lt:200'],
            'request.thickness_mm' => ['numeric', 'gt:0', 'lt:2000'],
        ]);
        $device->seen();

        return new ReadResource($read($device, $given));
    }
}
