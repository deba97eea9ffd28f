<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\User;
use App\Policy\Policy;
use Carbon\CarbonImmutable;
use MillStep\Core\Competency\ShownWork;
use MillStep\Core\Competency\SignOffReadiness;
use MillStep\Core\Policy\ShopPolicy;

/** Gathers what the core must know to say whether a signature may be made now. The screen and the server both ask here. */
final class Readiness
{
    private ?ShopPolicy $policy = null;

    public function __construct(private readonly Standings $standings, private readonly ShownHere $shown)
    {
    }

    public function of(User $learner, Permit $permit, User $signer): SignOffReadiness
    {
        $standing = $this->standings->one($learner, $permit);

        return $this->from(
            $standing, $learner, $permit, $signer->is($learner), $permit->isSignedBy($signer), $this->shown->of($learner, $permit),
        );
    }

    /** Without a signer: what speaks against it on the learner's side. */
    public function onLearnersSide(PermitStanding $standing, User $learner): SignOffReadiness
    {
        return $this->from($standing, $learner, $standing->permit, false, true);
    }

    private function from(
        PermitStanding $standing,
        User $learner,
        Permit $permit,
        bool $own,
        bool $authorised,
        ?ShownWork $shown = null,
    ): SignOffReadiness {
        $policy = $this->policy ??= Policy::inForce();

        return new SignOffReadiness(
            $standing->place,
            $standing->record,
            $permit->statementInForce()->version,
            $standing->prerequisitesMissing,
            $own,
            $authorised,
            $policy->guardianRequired && $learner->isUnderAge() && $learner->guardian_acknowledged_on === null,
            $learner->active,
            $permit->coreScope(),
            CarbonImmutable::now(),
            $policy->hours->endOfDay(CarbonImmutable::now()->addDays($permit->validity_days)),
            $standing->checksStale,
            $shown,
        );
    }
}
