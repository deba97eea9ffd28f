<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\PartCard;
use App\Assessment\SheetAttempt;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

final class PartController
{
    /** Whoever may see its maker's record sees the part's card. For anybody else there is none: a code that is guessed tells nothing. */
    public function show(string $code, PartCard $card): JsonResponse
    {
        $attempt = SheetAttempt::withSheet()->whereNotNull('concluded_at')
            ->where('part_code', strtoupper(mb_substr($code, 0, 12)))->firstOrFail();
        abort_unless(Gate::allows('view-record', $attempt->learner), 404);

        return new JsonResponse($card->of($attempt));
    }
}
