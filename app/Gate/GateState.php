<?php

declare(strict_types=1);

namespace App\Gate;

use App\Gate\Http\ReadResource;
use App\Workshop\Machine;
use Carbon\CarbonImmutable;

/** What the machine's screen shows and the interlock does. There is one interlock: on while a turn is open, decided anew right now. */
final class GateState
{
    public function __construct(private readonly ReviewTurn $review)
    {
    }

    /** @return array<string, mixed> */
    public function of(Device $device, ?string $nonce): array
    {
        $session = $this->review->at($device->machine_id);
        $machine = Machine::query()->with('permits')->findOrFail($device->machine_id);
        $read = BadgeRead::query()->with(BadgeRead::SHOWN)->where('machine_id', $machine->id)->latest('read_at')->first();
        $ended = $session === null ? MachineSession::lastEndedAt($machine->id) : null;

        return [
            'nonce' => $nonce,
            'answered_at' => CarbonImmutable::now()->toIso8601ZuluString('millisecond'),
            'interlock' => $session === null ? 'off' : 'on',
            'machine' => [
                'slug' => $machine->slug,
                'name' => $machine->name,
                'in_service' => $machine->in_service,
                'service_note' => $machine->service_note,
                'permits' => $machine->permits->pluck('name')->all(),
            ],
            'running' => $session === null ? null : [
                'session' => $session->id,
                'person' => $session->user->name,
                'companion' => $session->companion?->name,
                'decision' => $session->decision,
                'since' => $session->started_at->toIso8601ZuluString(),
                'request' => (object) $session->request,
                'idle_at' => $session->turn()->idleAt()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
            ],
            'ended' => $ended === null || $ended->ended_at === null ? null : [
                'session' => $ended->id,
                'person' => $ended->user->name,
                'because' => (string) $ended->ended_because,
                'reasons' => $ended->end_reasons,
                'at' => $ended->ended_at->toIso8601ZuluString('millisecond'),
            ],
            'last_read' => $read === null ? null : new ReadResource($read),
            'device' => ['expires_at' => $device->tokenExpiresAt()?->toIso8601ZuluString()],
        ];
    }
}
