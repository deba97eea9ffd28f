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
    /** @throws Refusal `own_record` */
    public function __invoke(Sheet $sheet, User $learner, User $assessor, string $id): Attempt
    {
        if ($learner->is($assessor)) {
            throw Refusal::forbidden('own_record', 'Nobody assesses themselves.');
        }

        return DB::transaction(fn (): Attempt => Attempt::query()->where('learner_id', $learner->id)->where('sheet_id', $sheet->id)
            ->whereNull('concluded_at')->lockForUpdate()->first()
            ?? Attempt::query()->createOrFirst(['id' => $id], [
                'sheet_id' => $sheet->id,
                'learner_id' => $learner->id,
                'assessor_id' => $assessor->id,
                'started_at' => CarbonImmutable::now(),
            ]));
    }
}
