<?php

declare(strict_types=1);

namespace App\Workshop\Gauges;

use App\People\User;
use App\Support\Refusal;
use App\Workshop\Events\GaugeChanged;
use Illuminate\Support\Facades\DB;

/** Writes down that a gauge was held against something known, what it showed at nothing, and when it is due again. */
final class CheckGauge
{
    /**
     * @param  array{id: string, checked_on: string, against: string, zero_error_mm: float, due_on: string}  $says
     *
     * @throws Refusal `id_used`
     */
    public function __invoke(Gauge $gauge, User $by, array $says): GaugeCheck
    {
        return DB::transaction(static function () use ($gauge, $by, $says): GaugeCheck {
            $check = GaugeCheck::query()->createOrFirst(['id' => $says['id']], [
                ...$says, 'gauge_id' => $gauge->id, 'checked_by' => $by->id,
            ]);
            $same = [$check->gauge_id, $check->checked_on->toDateString(), $check->against, round($check->zero_error_mm, 4)]
                === [$gauge->id, $says['checked_on'], $says['against'], round($says['zero_error_mm'], 4)];
            if (! $check->wasRecentlyCreated && ! $same) {
                throw Refusal::idUsed();
            }
            GaugeChanged::dispatch($gauge->slug);

            return $check;
        });
    }
}
