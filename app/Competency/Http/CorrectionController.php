<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\CorrectEntry;
use App\Competency\LedgerEntry;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

final class CorrectionController
{
    public function store(Request $request, User $learner, string $entry, CorrectEntry $correct, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{id: string, reason: string, pin: string} $given */
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'reason' => ['required', 'string', 'min:5', 'max:500'],
            'pin' => ['required', 'string', 'max:12'],
        ]);
        abort_unless(Str::isUuid($entry), 404);
        $wrong = LedgerEntry::query()->where('learner_id', $learner->id)->where('id', $entry)->firstOrFail();

        return LedgerReceipt::for($correct($wrong, $user, $given['reason'], $given['pin'], $given['id']));
    }
}
