<?php

declare(strict_types=1);

namespace App\Competency\Http;

use App\Competency\AcknowledgeStatement;
use App\Competency\Permit;
use App\People\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class AcknowledgementController
{
    /** Only the learner can put their own name to it. */
    public function store(
        Request $request,
        User $learner,
        Permit $permit,
        AcknowledgeStatement $acknowledge,
        #[CurrentUser] User $user,
    ): JsonResponse {
        abort_unless($user->is($learner), 403);
        $request->validate(['id' => ['required', 'uuid'], 'statement_version' => ['required', 'integer', 'between:1,1000000']]);

        $id = $request->string('id')->value();

        return LedgerReceipt::for($acknowledge($learner, $permit, $request->integer('statement_version'), id: $id));
    }
}
