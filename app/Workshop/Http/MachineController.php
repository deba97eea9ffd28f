<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\People\User;
use App\Workshop\ChangeService;
use App\Workshop\Day\DayPart;
use App\Workshop\Day\SayDayCheck;
use App\Workshop\Http\Requests\MachineRequest;
use App\Workshop\Machine;
use App\Workshop\SaveMachine;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

final class MachineController
{
    private const WITH = ['permits', 'cribs', 'services.by', 'dayChecks.by'];

    public function index(): JsonResponse
    {
        return MachineResource::collection(Machine::query()->with(self::WITH)->orderBy('id')->get())->response();
    }

    public function store(MachineRequest $request, SaveMachine $save, #[CurrentUser] User $user): JsonResponse
    {
        $machine = $save(null, $request->fields($user), $request->cribs());

        return (new MachineResource($machine->load(self::WITH)))->response()->setStatusCode(201);
    }

    public function update(MachineRequest $request, Machine $machine, SaveMachine $save, #[CurrentUser] User $user): MachineResource
    {
        $saved = $save($machine, $request->fields($user), $request->cribs(), wordingOnly: $request->boolean('wording_only'));

        return new MachineResource($saved->load(self::WITH));
    }

    public function dayCheck(Request $request, Machine $machine, SayDayCheck $say, #[CurrentUser] User $user): MachineResource
    {
        /** @var array{id: string, part: string, good: bool, reason?: string|null} $given */
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'part' => ['required', Rule::enum(DayPart::class)],
            'good' => ['required', 'boolean'],
            'reason' => ['nullable', 'required_if:good,false', 'string', 'min:5', 'max:240'],
        ]);
        $said = $say($machine, DayPart::from($given['part']), $given['good'], $given['reason'] ?? '', $user, $given['id']);

        return new MachineResource($said->load(self::WITH));
    }

    public function service(Request $request, Machine $machine, ChangeService $change, #[CurrentUser] User $user): MachineResource
    {
        /** @var array{id: string, in_service: bool, reason: string} $given */
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'in_service' => ['required', 'boolean'],
            'reason' => ['required', 'string', 'min:5', 'max:240'],
        ]);

        return new MachineResource($change($machine, $given['in_service'], $given['reason'], $user, $given['id'])->load(self::WITH));
    }
}
