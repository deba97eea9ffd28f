<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Events\DeviceRevoked;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Takes a device's tokens away for good. Its machine keeps its turn; another device must be paired to see it. */
final class RevokeDevice
{
    public function __invoke(Device $device, User $by): Device
    {
        return DB::transaction(static function () use ($device, $by): Device {
            $device = Device::query()->with('machine')->lockForUpdate()->findOrFail($device->id);
            if ($device->revoked_at === null) {
                $device->tokens()->delete();
                $device->update(['revoked_at' => CarbonImmutable::now(), 'revoked_by' => $by->id]);
                DeviceRevoked::dispatch($device->id, $device->machine->slug);
            }

            return $device;
        });
    }
}
