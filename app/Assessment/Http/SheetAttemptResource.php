<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Scoring;
use App\Assessment\SheetAttempt;
use App\Planning\Attachment;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A sheet with its marks and what they come to so far.
 *
 * @mixin SheetAttempt
 *
 * @property SheetAttempt $resource
 */
final class SheetAttemptResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $scoring = app(Scoring::class);

        return [
            'id' => $this->id,
            'learner' => ['id' => $this->learner->id, 'name' => $this->learner->name],
            'assessor' => $this->assessor->name,
            'sheet' => [
                'code' => $this->sheet->code,
                'title' => $this->sheet->title,
                'version' => $this->sheet->version,
                'part' => $this->sheet->part->name,
                'machine' => $this->sheet->machine?->name,
                'pass_mark_percent' => $this->sheet->pass_mark_percent,
            ],
            'plans' => Attachment::plansOf('sheet', $this->sheet->code),
            'criteria' => array_map(fn (array $criterion): array => [
                ...$criterion,
                ...($criterion['kind'] === 'measured' ? $scoring->limits($this->resource, $criterion) : []),
                'mark' => isset($this->marks[$criterion['id']]) ? (object) $this->marks[$criterion['id']] : null,
                'judged' => $criterion['kind'] === 'measured' ? $scoring->judged($this->resource, $criterion) : null,
            ], $this->sheet->criteria),
            'score' => $scoring->score($this->resource)->toArray(),
            'outcome' => $this->outcome,
            'concluded_at' => $this->concluded_at?->toIso8601ZuluString(),
            'cancelled_at' => $this->cancelled_at?->toIso8601ZuluString(),
            'cancelled_because' => $this->cancelled_because,
            'started_at' => $this->started_at->toIso8601ZuluString(),
        ];
    }
}
