<?php

declare(strict_types=1);

namespace App\Competency;

use App\Competency\Events\EntryCorrected;
use App\People\Pin;
use App\People\User;
use App\Support\PowerLock;
use App\Support\Refusal;
use Illuminate\Support\Facades\DB;

/** Takes a line of the ledger back by a new line that names it and says why. The line itself stays for good. */
final class CorrectEntry
{
    public function __construct(private readonly RecordEntry $record, private readonly Pin $pin)
    {
    }

    /** @throws Refusal `own_record`, `not_authorised`, `already_corrected`, `id_used` or a PIN's */
    public function __invoke(
        LedgerEntry $wrong,
        User $by,
        string $reason,
        #[\SensitiveParameter] string $pin,
        ?string $id = null,
    ): LedgerEntry {
        $learner = User::query()->findOrFail($wrong->learner_id);
        $permit = $wrong->permit_id === null ? null : Permit::query()->findOrFail($wrong->permit_id);
        if ($learner->is($by)) {
            throw Refusal::forbidden('own_record', says: 'own_correction');
        }
        // A line that counts for every permit may be corrected by whoever signs for one of them.
        if ($permit === null ? ! Permit::anySignedBy($by) : ! $permit->isSignedBy($by)) {
            throw Refusal::forbidden('not_authorised', says: 'may_not_correct');
        }
        $this->pin->confirm($by, $pin);

        return DB::transaction(function () use ($wrong, $learner, $permit, $by, $reason, $id): LedgerEntry {
            PowerLock::forRestriction();
            User::query()->whereKey($learner->id)->lockForUpdate()->firstOrFail();
            if (($id === null || LedgerEntry::query()->where('id', $id)->doesntExist()) && $this->isCorrected($wrong)) {
                throw Refusal::because('already_corrected');
            }
            $entry = ($this->record)($learner, $permit, 'corrected', ['entry' => $wrong->id, 'reason' => $reason], $by, id: $id);
            EntryCorrected::dispatch($learner->id, $permit?->id);

            return $entry;
        });
    }

    /** Named by a correction that is not itself corrected. */
    private function isCorrected(LedgerEntry $wrong): bool
    {
        $corrections = LedgerEntry::query()->where('learner_id', $wrong->learner_id)->where('type', 'corrected')->get();
        foreach ($corrections as $correction) {
            if ($correction->details()['entry'] === $wrong->id && ! $this->isCorrected($correction)) {
                return true;
            }
        }

        return false;
    }
}
