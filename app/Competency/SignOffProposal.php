<?php

declare(strict_types=1);

namespace App\Competency;

use App\Language\Speech;
use App\People\User;
use App\Policy\Policy;
use App\Workshop\MaterialRow;
use Illuminate\Http\Request;
use MillStep\Core\Competency\Scope;
use MillStep\Core\Workshop\Material;

/** What would be signed: the statement, the most that a signature may cover, and all that still speaks against it. */
final class SignOffProposal
{
    public function __construct(
        private readonly Standings $standings,
        private readonly Readiness $readiness,
        private readonly Evidence $evidence,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(User $learner, Permit $permit, User $reader): array
    {
        $standing = $this->standings->one($learner, $permit);
        // The learner reads what is left to do; whoever teaches reads what speaks against their own signature.
        $readiness = $reader->is($learner)
            ? $this->readiness->onLearnersSide($standing, $learner)
            : $this->readiness->of($learner, $permit, $reader);
        $says = Speech::of(app(Request::class));
        $statement = $permit->statementInForce();
        $covered = $permit->scope['materials'] ?? null;

        return [
            'learner' => ['id' => $learner->id, 'name' => $learner->name],
            'permit' => ['code' => $permit->code, 'name' => $permit->name],
            'standing' => $standing->place->shown(),
            'statement' => ['version' => $statement->version, 'body' => $statement->body],
            'acknowledged' => $readiness->acknowledged(),
            'reasons' => $readiness->reasons(),
            'checks_stale' => $readiness->checksStale,
            'renewal_check_days' => $permit->requirement['renewal_check_days'] ?? null,
            'signed_off' => $standing->signature(),
            'scope' => (object) $permit->scope,
            'valid_until' => Policy::inForce()->hours->dateAt($readiness->latestEnd),
            'materials' => array_values(array_map(
                static fn (Material $material): array => ['key' => $material->key, 'name' => MaterialRow::called($material, $says)],
                array_filter(
                    MaterialRow::everything(),
                    static fn (Material $material): bool => $covered === null || in_array($material->key, $covered, true),
                ),
            )),
            'operations' => $permit->scope['operations'] ?? Scope::OPERATIONS,
            'shown' => $readiness->shown?->toArray(),
            'rests_on' => $this->evidence->of($learner, $permit),
        ];
    }
}
