<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\Workshop\Gauges\Gauge;
use App\Workshop\Gauges\GaugeCheck;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Gauge */
final class GaugeResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'slug' => $this->slug,
            'name' => $this->name,
            'kind' => $this->kind,
            'resolution_mm' => $this->resolution_mm,
            'uncertainty_mm' => $this->uncertainty_mm,
            'tip_mm' => $this->tip_mm,
            'zero_error_mm' => $this->zeroError()->inMm(),
            'past_due' => $this->isPastDueOn(CarbonImmutable::now()),
            'due_on' => $this->checkInForce()?->due_on->toDateString(),
            'retired' => $this->retired_at !== null,
            'checks' => $this->checks->take(20)->map(static fn (GaugeCheck $check): array => [
                'id' => $check->id,
                'checked_on' => $check->checked_on->toDateString(),
                'against' => $check->against,
                'zero_error_mm' => $check->zero_error_mm,
                'due_on' => $check->due_on->toDateString(),
                'by' => $check->checker->name,
            ])->all(),
        ];
    }
}
