<?php

declare(strict_types=1);

namespace App\Workshop\Http;

use App\Workshop\Crib;
use App\Workshop\Tool;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Crib */
final class CribResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'slug' => $this->slug,
            'name' => $this->name,
            'note' => $this->note,
            'machines' => $this->machines->pluck('name')->all(),
            'tools' => $this->tools->map(static fn (Tool $tool): array => [
                'id' => $tool->id, 'kind' => $tool->kind, 'designation' => $tool->designation,
                'diameter_mm' => $tool->diameter(), 'edge' => $tool->edge, 'condition' => $tool->condition,
                'taper' => $tool->details['taper'] ?? null, 'flute_length_mm' => $tool->details['flute_length_mm'] ?? null,
                'point_angle_deg' => $tool->details['point_angle_deg'] ?? null,
                'enters_mm' => $tool->details['enters_mm'] ?? null, 'reach_mm' => $tool->details['reach_mm'] ?? null,
                'piece' => $tool->kind === 'holding' ? $tool->details['type'] ?? null : null,
            ])->all(),
        ];
    }
}
