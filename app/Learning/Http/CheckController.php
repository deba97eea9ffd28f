<?php

declare(strict_types=1);

namespace App\Learning\Http;

use App\Learning\Check;
use App\Learning\CheckAttempt;
use App\Learning\HandInCheck;
use App\Learning\StartCheck;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

final class CheckController
{
    public function start(Request $request, string $code, StartCheck $start, #[CurrentUser] User $user): CheckAttemptResource
    {
        abort_unless($user->learns(), 403);
        $request->validate(['id' => ['required', 'uuid']]);

        return new CheckAttemptResource($start($user, Check::current($code), $request->string('id')->value()));
    }

    public function show(CheckAttempt $attempt): CheckAttemptResource
    {
        Gate::authorize('view-record', $attempt->learner);

        return new CheckAttemptResource($attempt);
    }

    public function handIn(Request $request, CheckAttempt $attempt, HandInCheck $handIn, #[CurrentUser] User $user): CheckAttemptResource
    {
        abort_unless($attempt->learner_id === $user->id, 403);
        /** @var array{answers: array<string, list<string>>, units?: 'mm'|'in'|null} $given */
        $given = $request->validate([
            'answers' => ['present', 'array', 'max:50'],
            'answers.*' => ['array', 'max:20'],
            'answers.*.*' => ['string', 'max:60'],
            'units' => ['nullable', 'in:mm,in'],
        ]);

        return new CheckAttemptResource($handIn($attempt, $given['answers'], $given['units'] ?? null));
    }
}
