<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\Policy\ShopNow;
use App\Workshop\Crib;
use App\Workshop\Day\CheckedToday;
use App\Workshop\Machine;
use App\Workshop\ServiceChange;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * @mixin Machine
 *
 * @property Machine $resource
 */
final class MachineResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'slug' => $this->slug,
            ...$this->resource->only(Machine::FIELDS),
            'in_service' => $this->in_service,
            'service_note' => $this->service_note,
            'language' => $this->language,
            'cribs' => $this->cribs->map(static fn (Crib $crib): array => ['slug' => $crib->slug, 'name' => $crib->name])->all(),
            'permits' => $this->permits->map(static fn (Model $permit): array => [
                'code' => $permit->getAttribute('code'), 'name' => $permit->getAttribute('name'),
                'further' => $permit->getAttribute('further') === true,
            ])->all(),
            'checked_today' => CheckedToday::of($this->resource, app(ShopNow::class)->policy()->hours)->shown(),
            'services' => $this->services->map(static fn (ServiceChange $entry): array => [
                'in_service' => $entry->in_service, 'reason' => $entry->reason, 'by' => $entry->by?->name,
                'at' => $entry->at->toIso8601ZuluString(),
            ])->all(),
        ];
    }
}
