<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\Practice\Entry;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Entry */
final class EntryResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'machine' => $this->machine->name,
            'permit' => $this->permit?->name,
            'exercise' => $this->exercise,
            'minutes' => $this->minutes,
            'done_on' => $this->done_on->toDateString(),
            'note' => $this->note,
            'state' => $this->state,
            'reason' => $this->reason,
            'decided_by' => $this->decider?->name,
        ];
    }
}
