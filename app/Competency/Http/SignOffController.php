<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\Http\Requests\SignOffRequest;
use App\Competency\Permit;
use App\Competency\SignOffPermit;
use App\Competency\SignOffProposal;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final class SignOffController
{
    public function show(User $learner, Permit $permit, SignOffProposal $proposal, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($proposal->of($learner, $permit->load('statements'), $user));
    }

    public function store(
        SignOffRequest $request,
        User $learner,
        Permit $permit,
        SignOffPermit $signOff,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $entry = $signOff(
            $learner,
            $permit,
            $user,
            $request->string('pin')->value(),
            $request->wanted($user->units),
            $request->validUntil(),
            $request->string('id')->value(),
        );

        return LedgerReceipt::for($entry);
    }
}
