<?php

declare(strict_types=1);

namespace App\Workshop\Gauges;

use App\Support\Refusal;
use App\Workshop\Events\GaugeChanged;
use App\Workshop\UniqueSlug;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** A gauge comes into the shop, or what is said of it changes. One that is out of use is retired, and keeps its readings. */
final class SaveGauge
{
    /**
     * @param  array{name: string, kind: string, resolution_mm: float, uncertainty_mm: float, tip_mm?: float|null, retired?: bool}  $says
     *
     * @throws Refusal `gauge_named` where the shop has a gauge of that name in use
     */
    public function __invoke(?Gauge $gauge, array $says): Gauge
    {
        return DB::transaction(function () use ($gauge, $says): Gauge {
            $gauge = $gauge === null ? new Gauge : Gauge::query()->lockForUpdate()->findOrFail($gauge->id);
            $namesake = Gauge::query()->where('name', $says['name'])->whereNull('retired_at')->lockForUpdate()->first();
            if ($namesake !== null && ! $namesake->is($gauge)) {
                throw Refusal::because('gauge_named', ['name' => $says['name']]);
            }
            $retired = $says['retired'] ?? false;
            $gauge->fill([
                ...array_diff_key($says, ['retired' => 0]),
                'slug' => $gauge->slug ?? UniqueSlug::of(
                    $says['name'],
                    'gauge',
                    static fn (string $slug): bool => Gauge::query()->where('slug', $slug)->exists(),
                ),
                'retired_at' => $retired ? $gauge->retired_at ?? CarbonImmutable::now() : null,
            ])->save();
            GaugeChanged::dispatch($gauge->slug);

            return $gauge;
        });
    }
}
