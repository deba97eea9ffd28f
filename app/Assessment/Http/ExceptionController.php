<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Who\GrantException;
use App\People\Role;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rules\Enum;
use MillStep\Core\Assessment\ExceptionKind;

final class ExceptionController
{
    public function __invoke(Request $request, GrantException $grant, #[CurrentUser] User $user): JsonResponse
    {
        $request->validate([
            'id' => ['required', 'uuid'],
            'sheet' => ['required', 'string', 'exists:assessment_sheets,code'],
            'learner_id' => ['required', 'integer', 'between:1,9007199254740991'],
            'kind' => ['required', new Enum(ExceptionKind::class)],
            'words' => ['nullable', 'string', 'max:600'],
        ]);
        $learner = User::query()->where('role', Role::Learner)->findOrFail($request->integer('learner_id'));
        Gate::authorize('teach-learner', $learner);
        $granted = $grant(
            $learner,
            $request->string('sheet')->value(),
            $user,
            $request->string('id')->value(),
            ExceptionKind::from($request->string('kind')->value()),
            $request->string('words')->value(),
        );

        return new JsonResponse($granted->shown(), 201);
    }
}
