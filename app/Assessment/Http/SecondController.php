<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Second\SaySecond;
use App\Assessment\Second\TakeSecondSeat;
use App\Assessment\SheetAttempt;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

final class SecondController
{
    public function take(SheetAttempt $attempt, TakeSecondSeat $take, #[CurrentUser] User $user): SheetAttemptResource
    {
        Gate::authorize('teach-learner', $attempt->learner);

        return new SheetAttemptResource($take($attempt, $user));
    }

    public function say(Request $request, SheetAttempt $attempt, SaySecond $say, #[CurrentUser] User $user): SheetAttemptResource
    {
        Gate::authorize('teach-learner', $attempt->learner);
        $request->validate(['agrees' => ['required', 'boolean'], 'says' => ['nullable', 'string', 'max:600']]);

        return new SheetAttemptResource($say($attempt, $user, $request->boolean('agrees'), $request->string('says')->value()));
    }
}
