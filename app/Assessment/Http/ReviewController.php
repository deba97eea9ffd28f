<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Second\InviteReviewer;
use App\Assessment\Second\Review;
use App\Assessment\Second\SayReview;
use App\Assessment\SheetAttempt;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** One sheet before somebody from outside. The link's own part never stands in an address: it is said in the question. */
final class ReviewController
{
    private const TOKEN = ['required', 'string', 'max:80'];

    public function invite(Request $request, SheetAttempt $attempt, InviteReviewer $invite, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('teach-learner', $attempt->learner);
        $request->validate(['name' => ['required', 'string', 'min:2', 'max:120']]);

        return new JsonResponse(['link' => '/review#'.$invite($attempt, $user, trim($request->string('name')->value()))], 201);
    }

    public function look(Request $request): ReviewResource
    {
        $request->validate(['token' => self::TOKEN]);

        return new ReviewResource(Review::byToken($request->string('token')->value()));
    }

    public function say(Request $request, SayReview $say): ReviewResource
    {
        $request->validate(['token' => self::TOKEN, 'agrees' => ['required', 'boolean'], 'says' => ['nullable', 'string', 'max:600']]);

        return new ReviewResource($say(
            Review::byToken($request->string('token')->value()), $request->boolean('agrees'), $request->string('says')->value(),
        ));
    }
}
