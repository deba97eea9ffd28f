<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\BadgeRead;
use App\Gate\DemoBadges;
use App\Gate\Device;
use App\Gate\MachineSession;
use App\Gate\PairDevice;
use App\People\User;
use App\Workshop\Machine;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class DeviceController
{
    /** Pairs a screen or a reader with a machine. The token is shown this once. */
    public function store(Request $request, Machine $machine, PairDevice $pair, #[CurrentUser] User $user): JsonResponse
    {
        $given = $request->validate(['name' => ['required', 'string', 'max:60']]);

        return new JsonResponse(['token' => $pair($machine, $user, $given['name'])], 201);
    }

    /** What the machine's screen shows: the machine, who has it, and the last badge. */
    public function screen(#[CurrentUser('device')] Device $device): JsonResponse
    {
        $machine = $device->machine->load('permits');
        $session = MachineSession::openAt($machine);
        $read = BadgeRead::query()->with('user')->where('machine_id', $machine->id)->latest('read_at')->first();

        return new JsonResponse([
            'machine' => [
                'slug' => $machine->slug,
                'name' => $machine->name,
                'in_service' => $machine->in_service,
                'service_note' => $machine->service_note,
                'permits' => $machine->permits->pluck('name')->all(),
            ],
            'running' => $session === null ? null : ['person' => $session->user->name, 'decision' => $session->decision, 'since' => $session->started_at->toIso8601ZuluString()],
            'last_read' => $read === null ? null : new ReadResource($read),
        ]);
    }

    /** Badges to click in the demo. Outside the demo there are none. */
    public function demoBadges(DemoBadges $badges): JsonResponse
    {
        abort_unless(config('millstep.demo') === true, 404);

        return new JsonResponse($badges->all());
    }
}
