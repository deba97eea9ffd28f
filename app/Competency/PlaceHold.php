<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Events\PermitHeld;
use App\Competency\Events\PermitReinstated;
use App\Competency\Events\PermitRevoked;
use App\People\Pin;
use App\People\User;
use App\Support\PowerLock;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Suspends or holds after an incident, which anybody who teaches may do at once; revokes or lifts holds, which needs
 * somebody who may sign for the permit, and their PIN. Each is a line of the ledger with its reason.
 */
final class PlaceHold
{
    public const TYPES = ['suspended', 'incident_hold', 'revoked', 'reinstated'];

    /** What only an authorised signer does, with the PIN. */
    public const SIGNED = ['revoked', 'reinstated'];

    public function __construct(private readonly RecordEntry $record, private readonly Standings $standings, private readonly Pin $pin)
    {
    }

    /**
     * @param  value-of<self::TYPES>  $type
     *
     * @throws Refusal `own_record`, `not_authorised`, `nothing_held`, `nothing_signed`, `id_used` or a PIN's
     */
    public function __invoke(
        User $learner,
        Permit $permit,
        User $by,
        string $type,
        string $reason,
        ?string $id = null,
        #[\SensitiveParameter] string $pin = '',
        ?CarbonImmutable $at = null,
    ): LedgerEntry {
        if ($learner->is($by)) {
            throw Refusal::forbidden('own_record', says: 'own_hold');
        }
        if (in_array($type, self::SIGNED, true)) {
            if (! $permit->isSignedBy($by) || ! $by->reaches($learner)) {
                throw Refusal::forbidden('not_authorised', ['permit' => $permit->name], 'may_not_lift');
            }
            $this->pin->confirm($by, $pin);
        }

        return DB::transaction(function () use ($learner, $permit, $by, $type, $reason, $id, $at): LedgerEntry {
            PowerLock::forRestriction();
            User::query()->whereKey($learner->id)->lockForUpdate()->firstOrFail();
            if ($id === null || LedgerEntry::query()->where('id', $id)->doesntExist()) {
                $this->checkThatThereIsSomething($learner, $permit, $type);
            }
            $entry = ($this->record)($learner, $permit, $type, ['reason' => $reason], $by, $at, $id);
            match ($type) {
                'reinstated' => PermitReinstated::dispatch($learner->id, $permit->id),
                'revoked' => PermitRevoked::dispatch($learner->id, $permit->id),
                default => PermitHeld::dispatch($learner->id, $permit->id),
            };

            return $entry;
        });
    }

    private function checkThatThereIsSomething(User $learner, Permit $permit, string $type): void
    {
        if (! in_array($type, self::SIGNED, true)) {
            return;
        }
        $record = $this->standings->one($learner, $permit)->record;
        if ($type === 'reinstated' && ! $record->suspended) {
            throw Refusal::because('nothing_held', says: $record->revoked ? 'revoked_not_held' : null);
        }
        if ($type === 'revoked' && $record->signature === null) {
            throw Refusal::because('nothing_signed');
        }
    }
}
