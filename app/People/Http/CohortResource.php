<?php

declare(strict_types=1);

namespace App\People\Http;

use App\People\Cohort;
use App\Support\Given;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Cohort */
final class CohortResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'starts_on' => $this->starts_on->format('Y-m-d'),
            'ends_on' => $this->ends_on?->format('Y-m-d'),
            'members' => Given::whole($this->getAttribute('members_count')),
        ];
    }
}
