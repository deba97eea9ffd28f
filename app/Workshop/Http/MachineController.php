<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\Workshop\Machine;
use Illuminate\Http\JsonResponse;

final class MachineController
{
    public function index(): JsonResponse
    {
        return new JsonResponse(Machine::query()->with(['permits', 'crib'])->orderBy('id')->get()->map(static fn (Machine $machine): array => [
            'slug' => $machine->slug,
            'name' => $machine->name,
            'kind' => $machine->kind,
            'crib' => $machine->crib?->name,
            'in_service' => $machine->in_service,
            'service_note' => $machine->service_note,
            'permits' => $machine->permits->map(static fn ($permit): array => ['code' => $permit->code, 'name' => $permit->name])->all(),
        ]));
    }
}
