<?php

declare(strict_types=1);

namespace App\Learning\Http;

use App\Learning\GuidedLessons;
use App\Learning\HoldPoint;
use App\Learning\Lesson;
use App\Learning\LessonHoles;
use App\Learning\Progress;
use App\Planning\Attachment;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Plan\SectionDrawing;

/** A lesson with its figures computed for the machine, crib and part that it is bound to. */
final class LessonResource extends JsonResource
{
    public static $wrap = null;

    public function __construct(private readonly Lesson $lesson, private readonly ?Progress $progress)
    {
        parent::__construct($lesson);
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'code' => $this->lesson->code,
            'version' => $this->lesson->version,
            'title' => $this->lesson->title,
            'place' => $this->lesson->place,
            'minutes' => $this->lesson->minutes,
            'tools' => $this->lesson->tools,
            'part' => $this->part(),
            'machine' => $this->machine(),
            'steps' => array_map($this->step(...), $this->lesson->steps),
            ...$this->figures(),
            'plans' => Attachment::plansOf('lesson', $this->lesson->code),
            'progress' => $this->progress === null ? null : [
                'open' => app(GuidedLessons::class)->openTo($this->progress->learner, $this->lesson->code),
                'id' => $this->progress->id,
                'next' => $this->progress->nextStep(),
                'completed_at' => $this->progress->completed_at?->toIso8601ZuluString(),
            ],
        ];
    }

    /** @return array{figures: object, drawing: array<string, mixed>|null, fault: array<string, mixed>|null} */
    private function figures(): array
    {
        try {
            $hole = app(LessonHoles::class)->hole($this->lesson);
        } catch (CoreException $fault) {
            // The lesson is still worth reading; what cannot be computed says why.
            return ['figures' => (object) [], 'drawing' => null, 'fault' => $fault->says->toArray()];
        }

        return $hole === null ? ['figures' => (object) [], 'drawing' => null, 'fault' => null] : [
            'figures' => (object) array_map(
                static fn (Figure $figure): array => $figure->toArray(),
                LessonHoles::of($hole, $this->progress),
            ),
            'drawing' => SectionDrawing::of($hole->plan, $hole->thickness->inMm(), true)?->toArray(),
            'fault' => null,
        ];
    }

    /** @return array<string, mixed>|null */
    private function part(): ?array
    {
        $part = $this->lesson->part;

        return $part === null
            ? null
            : [
                'name' => $part->name,
                'stock' => $part->stock,
                'thickness_mm' => $part->thickness_mm,
                'holes' => $part->holes,
                'hole' => $this->lesson->hole,
            ];
    }

    /** @return array<string, mixed>|null */
    private function machine(): ?array
    {
        $machine = $this->lesson->machine;

        return $machine === null ? null : [
            'name' => $machine->name,
            'speeds_rpm' => $machine->speeds_rpm,
            'speed_change' => $machine->speed_change,
            'depth_scale' => $machine->depth_scale,
            'crib' => $machine->cribNames(),
            'in_service' => $machine->in_service,
        ];
    }

    /**
     * @param  array<string, mixed>  $step
     * @return array<string, mixed>
     */
    private function step(array $step): array
    {
        $answer = $this->progress?->answers[$step['key']] ?? null;
        $hold = $this->progress?->holds->firstWhere('step', $step['key']);
        // What is said to a choice is shown once it is chosen.
        $chosen = $step['choice'] === null ? null : array_column($step['choice'], null, 'id')[$answer['value'] ?? ''] ?? null;

        return [
            ...$step,
            'choice' => $step['choice'] === null
                ? null
                : array_map(static fn (array $option): array => ['id' => $option['id'], 'text' => $option['text']], $step['choice']),
            'done' => $this->progress?->isDone($step['key']) ?? false,
            'answer' => $answer === null ? null : [...$answer, 'said' => $chosen['answer'] ?? null],
            'sent_back' => $hold instanceof HoldPoint && $hold->opened_at === null && $hold->sent_back_at !== null
                ? $hold->sent_back_reason : null,
            'waiting_since' => $hold instanceof HoldPoint && $hold->waits() ? $hold->asked_at->toIso8601ZuluString() : null,
        ];
    }
}
