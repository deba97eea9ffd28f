<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\Permit;
use App\Competency\PlaceHold;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class HoldController
{
    public function store(Request $request, User $learner, Permit $permit, PlaceHold $place, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{id: string, type: value-of<PlaceHold::TYPES>, reason: string, pin?: string|null} $given */
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'type' => ['required', 'in:'.implode(',', PlaceHold::TYPES)],
            'reason' => ['required', 'string', 'min:5', 'max:500'],
            'pin' => ['nullable', 'required_if:type,'.implode(',', PlaceHold::SIGNED), 'string', 'max:12'],
        ]);

        return LedgerReceipt::for($place($learner, $permit, $user, $given['type'], $given['reason'], $given['id'], $given['pin'] ?? ''));
    }
}
