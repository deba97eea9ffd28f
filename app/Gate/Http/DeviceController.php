<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\DemoBadges;
use App\Gate\Device;
use App\Gate\GateState;
use App\Gate\PairDevice;
use App\Gate\RevokeDevice;
use App\People\User;
use App\Support\Given;
use App\Workshop\Machine;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Gate;

final class DeviceController
{
    public function index(): AnonymousResourceCollection
    {
        $devices = Device::query()->with(['machine.permits', 'pairedBy', 'tokens'])->orderByDesc('id')->limit(200)->get();

        return DeviceResource::collection($devices);
    }

    /** Pairs a screen or a reader with a machine; the token is shown this once. A screen ends the session of whoever paired it. */
    public function store(Request $request, Machine $machine, PairDevice $pair, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('pair', $machine);
        /** @var array{id: string, name: string} $given */
        $given = $request->validate(['id' => ['required', 'uuid'], 'name' => ['required', 'string', 'max:60'], 'here' => ['boolean']]);
        $token = $pair($machine, $user, $given['name'], $given['id']);
        if ($request->boolean('here')) {
            Auth::logout();
            $request->session()->invalidate();
            $request->session()->regenerateToken();
        }

        return new JsonResponse(['token' => $token], 201);
    }

    public function revoke(Device $device, RevokeDevice $revoke, #[CurrentUser] User $user): DeviceResource
    {
        Gate::authorize('pair', $device->machine);

        return new DeviceResource($revoke($device, $user)->load(['machine.permits', 'pairedBy', 'tokens']));
    }

    /** A fresh token before the old one runs out. */
    public function renew(#[CurrentUser('device')] Device $device): JsonResponse
    {
        return new JsonResponse(['token' => PairDevice::token($device)], 201);
    }

    /** What the machine's screen shows. The nonce comes back, so that an old answer is told from a new one. */
    public function screen(Request $request, GateState $state, #[CurrentUser('device')] Device $device): JsonResponse
    {
        $nonce = $request->query('nonce');
        // Asked every second: what is plainly right is not put before the whole of validation.
        if ($nonce !== null && (! is_string($nonce) || strlen($nonce) > 40)) {
            $request->validate(['nonce' => ['string', 'max:40']]);
        }
        $device->seen();

        return new JsonResponse($state->of(
            $device,
            is_string($nonce) ? $nonce : null,
            Given::text($request->header('Accept-Language')),
        ));
    }

    /** Badges to click in the demo. Outside the demo there are none. */
    public function demoBadges(DemoBadges $badges): JsonResponse
    {
        abort_unless(config('millstep.demo') === true, 404);

        return new JsonResponse($badges->all());
    }
}
