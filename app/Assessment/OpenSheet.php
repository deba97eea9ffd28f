<?php

declare(strict_types=1);

namespace App\Assessment;

use App\People\User;
use App\Support\Refusal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Opens a sheet for a learner, or finds the one that was left half way. */
final class OpenSheet
{
    /** @throws Refusal `own_record`, `id_used` */
    public function __invoke(Sheet $sheet, User $learner, User $assessor, string $id): SheetAttempt
    {
        if ($learner->is($assessor)) {
            throw Refusal::forbidden('own_record', says: 'own_assessment');
        }

        return DB::transaction(static function () use ($sheet, $learner, $assessor, $id): SheetAttempt {
            User::query()->whereKey($learner->id)->lockForUpdate()->firstOrFail();
            $known = SheetAttempt::query()->find($id);
            if ($known !== null && ($known->learner_id !== $learner->id || $known->sheet->code !== $sheet->code)) {
                throw Refusal::idUsed();
            }

            // A sheet that was left open is finished in its own version.
            return $known ?? SheetAttempt::stillOpen()->where('learner_id', $learner->id)
                ->whereHas('sheet', static fn ($query) => $query->where('code', $sheet->code))->first()
                ?? SheetAttempt::query()->create([
                    'id' => $id,
                    'sheet_id' => $sheet->id,
                    'learner_id' => $learner->id,
                    'assessor_id' => $assessor->id,
                    'started_at' => CarbonImmutable::now(),
                ]);
        });
    }
}
