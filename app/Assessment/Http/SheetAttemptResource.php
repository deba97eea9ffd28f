<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\Again;
use App\Assessment\Mark;
use App\Assessment\NoteOnSheet;
use App\Assessment\Photos\Photo;
use App\Assessment\Scoring;
use App\Assessment\Seat;
use App\Assessment\Second\Review;
use App\Assessment\SheetAttempt;
use App\Assessment\Viewer;
use App\Assessment\Who\WhoAssesses;
use App\Assessment\Word\MaySay;
use App\Language\Speech;
use App\People\User;
use App\Planning\Attachment;
use App\Workshop\MaterialRow;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use MillStep\Core\Assessment\Loss;
use MillStep\Core\Assessment\Slip;
use MillStep\Core\Border\Length;

/**
 * A sheet with its marks and what they come to so far, as far as whoever asks may see it.
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
        $attempt = $this->resource;
        $user = $request->user();
        $viewer = $user instanceof User ? Viewer::of($user, $attempt) : Viewer::Reader;
        $shown = new CriterionShown($scoring, $attempt, $viewer);
        $verdicts = $viewer->seesVerdicts($attempt);
        $ended = $attempt->concluded_at !== null;

        return [
            'id' => $this->id,
            'viewer' => $viewer->value,
            'learner' => ['id' => $this->learner->id, 'name' => $this->learner->name],
            'assessor' => $this->assessor->name,
            'sheet' => [
                'code' => $this->sheet->code,
                'title' => $this->sheet->title,
                'version' => $this->sheet->version,
                'part' => $this->sheet->part->name,
                'machine' => $attempt->atMachine()?->name,
                'material' => MaterialRow::word($this->sheet->material($attempt->variant), Speech::of($request)),
                'pass_mark_percent' => $this->sheet->pass_mark_percent,
                'gates' => $this->sheet->gates,
            ],
            'machine_state' => $attempt->machine_state,
            'conduct' => $this->conduct(),
            'undo_seconds' => Slip::OFFERED_SECONDS,
            'plans' => Attachment::plansOf('sheet', $this->sheet->code),
            'dimensions' => $this->dimensions(),
            'tasks' => (new TasksShown($attempt, $viewer))->toArray(),
            'criteria' => array_map($shown->toArray(...), $attempt->criteria()),
            'score' => $verdicts ? $scoring->score($attempt, $viewer->seat())->toArray() : null,
            'losses' => $ended ? array_map(static fn (Loss $loss): array => $loss->toArray(), $scoring->losses($attempt)) : [],
            'notes' => $viewer === Viewer::Learner && ! $ended ? []
                : array_map(CriterionShown::note(...), $attempt->marks()->notes(NoteOnSheet::WHOLE)),
            'photos' => $this->photos->map(fn (Photo $photo): array => [
                'id' => $photo->id, 'criterion' => $photo->criterion, 'width' => $photo->width, 'height' => $photo->height,
                'by' => $photo->by->name, 'made_at' => $photo->made_at->toIso8601ZuluString(),
                'added_at' => $ended && $photo->recorded_at > $this->concluded_at ? $photo->recorded_at->toIso8601ZuluString() : null,
            ])->all(),
            'second' => $this->second(),
            'second_wanted' => $attempt->second_wanted,
            'second_open' => $attempt->wantsSecondView(),
            'reviews' => $viewer === Viewer::Learner ? [] : array_values($attempt->reviews->map(static fn (Review $one): array => [
                'id' => $one->id, 'name' => $one->name, 'invited_at' => $one->invited_at->toIso8601ZuluString(),
                'expires_at' => $one->expires_at->toIso8601ZuluString(), 'said_at' => $one->said_at?->toIso8601ZuluString(),
                'agrees' => $one->agrees, 'says' => $one->says,
            ])->all()),
            'assessor_may' => $ended ? $this->ground() : null,
            'stopped' => $verdicts && $this->stopped_at !== null ? [
                'at' => $this->stopped_at->toIso8601ZuluString(), 'criterion' => $this->stopped_by,
            ] : null,
            'part_code' => $this->part_code,
            'again' => $attempt->ended()?->failed() ?? false ? $this->again() : null,
            'outcome' => $this->outcome,
            'concluded_at' => $this->concluded_at?->toIso8601ZuluString(),
            'cancelled_at' => $this->cancelled_at?->toIso8601ZuluString(),
            'cancelled_because' => $this->cancelled_because,
            'put_away_because' => $this->put_away_because?->value,
            'put_away_counts' => $this->cancelled_at !== null && $attempt->ended() !== null,
            'word' => $this->word($viewer),
            'started_at' => $this->started_at->toIso8601ZuluString(),
        ];
    }

    /** @return array{said: list<array{moment: string, at: string}>, next: list<string>, paused: bool, worked_s: int} */
    private function conduct(): array
    {
        $attempt = $this->resource;
        $conduct = $attempt->marks()->conduct();
        $said = $attempt->lines->filter(static fn (Mark $mark): bool => $mark->kind === 'conduct');

        return [
            'said' => array_values($said->map(static fn (Mark $mark): array => [
                'moment' => $mark->value['moment'] ?? '', 'at' => $mark->made_at->toIso8601ZuluString(),
            ])->all()),
            'next' => $attempt->isOpen() ? array_column($conduct->next(), 'value') : [],
            'paused' => $conduct->isPaused(),
            'worked_s' => $conduct->workedSeconds($attempt->concluded_at ?? $attempt->cancelled_at ?? CarbonImmutable::now()),
        ];
    }

    /** @return list<array{id: string, name: string, mm: float}> the learner's own */
    private function dimensions(): array
    {
        $drawn = $this->resource->personal();

        return array_map(static fn (array $dimension): array => [
            'id' => $dimension['id'], 'name' => $dimension['name'], 'mm' => ($drawn[$dimension['id']] ?? Length::zero())->inMm(),
        ], $this->sheet->dimensions);
    }

    /** @return array{name: string, done: bool, agrees: bool|null, says: string|null, marks: int}|null */
    private function second(): ?array
    {
        return $this->resource->second === null ? null : [
            'name' => $this->resource->second->name,
            'done' => $this->second_done_at !== null,
            'agrees' => $this->second_agrees,
            'says' => $this->second_says,
            'marks' => $this->lines->filter(static fn (Mark $mark): bool => $mark->seat === Seat::Second)->count(),
        ];
    }

    /**
     * What was said of the outcome, and what whoever asks may still say to it.
     *
     * @return array{answered: array<string, mixed>|null, appealed: array<string, mixed>|null, appeal_answered: array<string, mixed>|null,
     *     may: list<string>}
     */
    private function word(Viewer $viewer): array
    {
        $attempt = $this->resource;
        $said = static function (?Mark $mark) use ($attempt): ?array {
            return $mark === null ? null : [
                'by' => $mark->by->name, 'own' => $mark->by_id === $attempt->learner_id, 'at' => $mark->made_at->toIso8601ZuluString(),
                'text' => $mark->value['text'] ?? null, 'agrees' => $mark->value['agrees'] ?? null,
                'answer' => $mark->value['answer'] ?? null,
            ];
        };
        $user = request()->user();

        return [
            'answered' => $said($attempt->marks()->said('answered')),
            'appealed' => $said($attempt->marks()->said('appealed')),
            'appeal_answered' => $said($attempt->marks()->said('appeal_answered')),
            'may' => $user instanceof User ? MaySay::of($attempt, $user, $viewer) : [],
        ];
    }

    /** @return array{by: string|null, from: string|null, until: string|null, ground: string|null}|null why whoever assessed may */
    private function ground(): ?array
    {
        $found = app(WhoAssesses::class)->ground($this->assessor, $this->sheet->code);

        return $found === null ? null : [
            'by' => $found->giver?->name,
            'from' => $found->ground === null ? null : $found->valid_from->toIso8601ZuluString(),
            'until' => $found->valid_until?->toIso8601ZuluString(),
            'ground' => $found->ground,
        ];
    }

    /** @return array{until: string|null, exercises: int} */
    private function again(): array
    {
        $again = app(Again::class)->of($this->learner, $this->sheet->code);

        return ['until' => $again['until']?->toIso8601ZuluString(), 'exercises' => $again['exercises']];
    }
}
