<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\Authorisation;
use App\Competency\Familiar\KnownMachine;
use App\Competency\Familiar\MachinesKnown;
use App\Competency\Familiar\ShowMachine;
use App\Competency\Permit;
use App\People\User;
use App\Workshop\Machine;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use MillStep\Core\Workshop\MachineTrait;

final class KnownMachineController
{
    public function index(User $learner, MachinesKnown $known, #[CurrentUser] User $user): JsonResponse
    {
        $may = $learner->is($user) || ! $user->teaches() ? [] : Authorisation::of($user, Permit::query()->get());

        return new JsonResponse(array_map(static fn (KnownMachine $one): array => [
            ...$one->shown(),
            'may_show' => ShowMachine::isOneOf($may, $one->machine),
        ], $known->of($learner)));
    }

    public function store(Request $request, User $learner, Machine $machine, ShowMachine $show, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{id: string, shown: list<string>} $given */
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'shown' => ['present', 'list', 'max:20'],
            'shown.*' => ['string', Rule::enum(MachineTrait::class)],
        ]);

        return LedgerReceipt::for($show($learner, $machine, $user, $given['shown'], $given['id']));
    }
}
