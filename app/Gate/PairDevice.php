<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Events\DevicePaired;
use App\People\User;
use App\Policy\Policy;
use App\Support\Refusal;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Gives a screen or reader at a machine a token of its own, for as many days as the policy says. */
final class PairDevice
{
    /**
     * @param  string|null  $id  sent again by the same person for the same machine it gives the same device a new token
     * @return string the token in clear, to be kept by the device; only its hash stays here
     *
     * @throws Refusal `id_used`
     */
    public function __invoke(Machine $machine, ?User $by, string $name, ?string $id = null): string
    {
        return DB::transaction(static function () use ($machine, $by, $name, $id): string {
            $device = Device::query()->createOrFirst(
                ['pairing_id' => $id ?? (string) Str::uuid7()],
                ['machine_id' => $machine->id, 'name' => $name, 'paired_by' => $by?->id],
            );
            if ($device->machine_id !== $machine->id || $device->paired_by !== $by?->id || $device->revoked_at !== null) {
                throw Refusal::idUsed();
            }
            $device->tokens()->delete();
            DevicePaired::dispatch($device->id, $machine->slug);

            return self::token($device);
        });
    }

    /**
     * A new token for a device that is there; the one it has stays good until the new one is used. At most one waits to be used: who
     * asks again gets another, and the one before is of no use.
     */
    public static function token(Device $device): string
    {
        $device->tokens()->whereNull('first_used_at')->delete();

        return $device->createToken(
            $device->name,
            ['gate'],
            CarbonImmutable::now()->addDays(Policy::inForce()->deviceDays),
        )->plainTextToken;
    }
}
