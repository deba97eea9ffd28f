<?php

declare(strict_types=1);

namespace App\Gate\Http;

use App\Gate\EndTurnFromAfar;
use App\Gate\MachineSession;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Response;

final class TurnController
{
    /** An instructor ends a turn from where they stand. Twice is once. */
    public function end(MachineSession $session, EndTurnFromAfar $end, #[CurrentUser] User $user): Response
    {
        $end($session, $user);

        return response()->noContent();
    }
}
