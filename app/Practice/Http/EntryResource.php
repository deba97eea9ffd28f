<?php

declare(strict_types=1);

namespace App\Practice\Http;

use App\Practice\Entry;
use App\Support\Given;
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
            'machine_slug' => $this->machine->slug,
            'permit_code' => $this->permit?->code,
            'plan' => $this->plan === null ? null : ['id' => $this->plan->id, 'name' => $this->plan->name],
            'chip' => $this->chip,
            'readings' => $this->readings,
            'mishap' => $this->mishap,
            'from_gate' => $this->turn_id !== null,
            'edits' => array_map(static fn (array $edit): array => [
                'by' => $edit['by'], 'at' => $edit['at'], 'why' => $edit['why'],
                'exercise' => Given::text($edit['was']['exercise'] ?? null),
                'minutes' => Given::whole($edit['was']['minutes'] ?? null),
            ], $this->edits),
            'state' => $this->state,
            'reason' => $this->reason,
            'decided_by' => $this->decider?->name,
        ];
    }
}
