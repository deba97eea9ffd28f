<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;

/** Suspends, holds after an incident, revokes or reinstates. Each is a line of the ledger with its reason. */
final class PlaceHold
{
    public const TYPES = ['suspended', 'incident_hold', 'revoked', 'reinstated'];

    public function __construct(private readonly RecordEntry $record)
    {
    }

    /**
     * @param  value-of<self::TYPES>  $type
     *
     * @throws Refusal `own_record`
     */
    public function __invoke(User $learner, Permit $permit, User $by, string $type, string $reason, ?CarbonImmutable $at = null, ?string $id = null): LedgerEntry
    {
        if ($learner->is($by)) {
            throw Refusal::forbidden('own_record', 'Nobody places or lifts a hold on themselves.');
        }

        return ($this->record)($learner, $permit, $type, ['reason' => $reason], $by, $at, $id);
    }
}
