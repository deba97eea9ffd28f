<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Photos\KeepPhoto;
use App\Assessment\Photos\Photo;
use App\Assessment\Photos\SmallPicture;
use App\Assessment\SheetAttempt;
use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;

final class PhotoController
{
    public function store(Request $request, SheetAttempt $attempt, KeepPhoto $keep, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('teach-learner', $attempt->learner);
        $request->validate([
            'id' => ['required', 'uuid'],
            'criterion' => ['nullable', 'string', 'max:80'],
            'image' => ['required', 'string', 'max:'.(int) ceil(SmallPicture::MOST_BYTES * 4 / 3 + 4)],
            'made_at' => ['required', 'date'],
        ]);
        $bytes = base64_decode($request->string('image')->value(), true);
        $bytes !== false || throw Refusal::because('no_picture');
        $keep(
            $attempt,
            $user,
            $request->string('id')->value(),
            $request->filled('criterion') ? $request->string('criterion')->value() : null,
            $bytes,
            CarbonImmutable::parse($request->string('made_at')->value()),
        );

        return (new SheetAttemptResource(SheetAttempt::withSheet()->findOrFail($attempt->id)))->response()->setStatusCode(201);
    }

    /** Seen by whoever may see the learner's record, and kept by nobody's cache. */
    public function show(Photo $photo): Response
    {
        Gate::authorize('view-record', $photo->attempt->learner);
        $jpeg = Storage::disk(Photo::DISK)->get($photo->path) ?? abort(404);

        return response($jpeg, 200, [
            'Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, no-store', 'X-Content-Type-Options' => 'nosniff',
            'Content-Security-Policy' => "default-src 'none'", 'Content-Disposition' => 'inline; filename="'.$photo->id.'.jpg"',
        ]);
    }
}
