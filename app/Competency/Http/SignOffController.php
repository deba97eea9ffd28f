<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\Http\Requests\SignOffRequest;
use App\Competency\Permit;
use App\Competency\SignOff;
use App\Competency\Standings;
use App\People\User;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use MillStep\Core\Workshop\MaterialTable;

final class SignOffController
{
    public function show(User $learner, Permit $permit, Standings $standings, SignOff $signOff): JsonResponse
    {
        $statement = $permit->load('statements')->statementInForce();

        return new JsonResponse([
            'learner' => ['id' => $learner->id, 'name' => $learner->name],
            'permit' => ['code' => $permit->code, 'name' => $permit->name],
            'standing' => $standings->one($learner, $permit)->toArray(),
            'statement' => ['version' => $statement->version, 'body' => $statement->body],
            'acknowledged' => $signOff->acknowledged($learner, $permit),
            'scope' => (object) $permit->scope,
            'valid_until' => CarbonImmutable::now()->addDays($permit->validity_days)->toDateString(),
            'materials' => array_values(array_map(static fn ($material): array => ['key' => $material->key, 'name' => $material->name], MaterialTable::shipped()->all())),
        ]);
    }

    public function store(SignOffRequest $request, User $learner, Permit $permit, SignOff $signOff, #[CurrentUser] User $user): JsonResponse
    {
        $entry = $signOff($learner, $permit, $user, $request->string('pin')->value(), $request->scope(), $request->validUntil(), $request->string('id')->value());

        return new JsonResponse(['id' => $entry->id, 'hash' => $entry->hash], 201);
    }
}
