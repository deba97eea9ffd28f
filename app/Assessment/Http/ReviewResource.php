<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Photos\Photo;
use App\Assessment\Scoring;
use App\Assessment\Second\Review;
use App\Assessment\SheetAttempt;
use App\Assessment\Viewer;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Storage;

/**
 * One sheet as an invited reviewer reads it: the work, the verdicts, the readings, the photographs, and nobody's name.
 *
 * @property Review $resource
 */
final class ReviewResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $review = $this->resource;
        $attempt = SheetAttempt::withSheet()->findOrFail($review->attempt_id);
        $scoring = app(Scoring::class);
        $shown = new CriterionShown($scoring, $attempt, Viewer::Reader);

        return [
            'name' => $review->name,
            'expires_at' => $review->expires_at->toIso8601ZuluString(),
            'said' => $review->said_at === null ? null : ['agrees' => $review->agrees, 'says' => $review->says],
            'sheet' => [
                'title' => $attempt->sheet->title, 'version' => $attempt->sheet->version, 'part' => $attempt->sheet->part->name,
                'machine' => $attempt->atMachine()?->name, 'pass_mark_percent' => $attempt->sheet->pass_mark_percent,
            ],
            'concluded_at' => $attempt->concluded_at?->toIso8601ZuluString(),
            'part_code' => $attempt->part_code,
            'outcome' => $attempt->outcome,
            'score_percent' => (float) $attempt->score_percent,
            'criteria' => array_map(
                static fn (array $criterion): array => self::nameless($shown->toArray($criterion)),
                $attempt->criteria(),
            ),
            'photos' => $attempt->photos->map(static fn (Photo $photo): array => [
                'id' => $photo->id, 'criterion' => $photo->criterion, 'width' => $photo->width, 'height' => $photo->height,
                'data' => 'data:image/jpeg;base64,'.base64_encode((string) Storage::disk(Photo::DISK)->get($photo->path)),
            ])->all(),
        ];
    }

    /**
     * What people wrote may name somebody, too: what was measured, marked and photographed speaks for itself.
     *
     * @param  array<array-key, mixed>  $part
     * @return array<array-key, mixed>
     */
    private static function nameless(array $part): array
    {
        return array_map(
            static fn (mixed $value): mixed => is_array($value) ? self::nameless($value) : $value,
            [
                ...$part,
                ...(isset($part['by']) ? ['by' => ''] : []),
                ...(isset($part['notes']) ? ['notes' => []] : []),
                ...(is_string($part['why'] ?? null) ? ['why' => null] : []),
            ],
        );
    }
}
