<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\Device;
use App\Gate\Http\Requests\ReadRequest;
use App\Gate\ReadBadge;
use Illuminate\Container\Attributes\CurrentUser;

final class ReadController
{
    public function store(ReadRequest $request, ReadBadge $read, #[CurrentUser('device')] Device $device): ReadResource
    {
        $device->seen();

        return new ReadResource($read($device, $request->read()));
    }
}
