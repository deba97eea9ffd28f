<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Mark;
use App\Assessment\Scoring;
use App\Assessment\Seat;
use App\Assessment\SheetAttempt;
use App\Assessment\Viewer;
use App\People\User;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * What a mark changed on its sheet: its criterion and the score, as far as whoever marked may see them. The rest of the sheet is as it was.
 *
 * @property SheetAttempt $resource
 */
final class MarkedResource extends JsonResource
{
    public static $wrap = null;

    public function __construct(SheetAttempt $attempt, private readonly string $criterion)
    {
        parent::__construct($attempt);
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $attempt = $this->resource;
        $scoring = app(Scoring::class);
        $user = $request->user();
        $viewer = $user instanceof User ? Viewer::of($user, $attempt) : Viewer::Reader;
        $verdicts = $viewer->seesVerdicts($attempt);
        $criterion = $attempt->criterion($this->criterion);

        return [
            'id' => $attempt->id,
            'criterion' => $criterion === null ? null : (new CriterionShown($scoring, $attempt, $viewer))->toArray($criterion),
            'score' => $verdicts ? $scoring->score($attempt, $viewer->seat())->toArray() : null,
            'stopped' => $verdicts && $attempt->stopped_at !== null ? [
                'at' => $attempt->stopped_at->toIso8601ZuluString(), 'criterion' => $attempt->stopped_by,
            ] : null,
            'second_marks' => $attempt->lines->filter(static fn (Mark $mark): bool => $mark->seat === Seat::Second)->count(),
        ];
    }
}
