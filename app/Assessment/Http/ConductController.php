<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Conduct\SayMoment;
use App\Assessment\ReadFromPaper;
use App\Assessment\SheetAttempt;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use MillStep\Core\Assessment\Moment;

/** How a sheet is gone through: by the clock, or on paper. */
final class ConductController
{
    public function say(Request $request, SheetAttempt $attempt, SayMoment $say, #[CurrentUser] User $user): SheetAttemptResource
    {
        Gate::authorize('teach-learner', $attempt->learner);
        /** @var array{id: string, moment: string, made_at: string} $given */
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'moment' => ['required', Rule::enum(Moment::class)],
            'made_at' => ['required', 'date'],
        ]);
        $moment = Moment::from($given['moment']);

        return new SheetAttemptResource($say($attempt, $user, $given['id'], $moment, CarbonImmutable::parse($given['made_at'])));
    }

    public function paper(Request $request, SheetAttempt $attempt, ReadFromPaper $read, #[CurrentUser] User $user): SheetAttemptResource
    {
        Gate::authorize('teach-learner', $attempt->learner);
        /** @var array{id: string, text: string, why: string} $given */
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'text' => ['required', 'string', 'max:4000'],
            'why' => ['required', 'string', 'min:3', 'max:200'],
        ]);

        return new SheetAttemptResource($read($attempt, $user, $given['id'], $given['text'], $given['why']));
    }
}
