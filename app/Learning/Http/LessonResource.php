<?php

declare(strict_types=1);

namespace App\Learning\Http;

use App\Learning\GuidedLessons;
use App\Learning\HoldPoint;
use App\Learning\Lesson;
use App\Learning\LessonCases;
use App\Learning\LessonFile;
use App\Learning\LessonFrame;
use App\Learning\Progress;
use App\Planning\Attachment;
use App\Workshop\ShopAtHand;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Length;
use MillStep\Core\Learning\Drawing\LessonDrawings;
use MillStep\Core\Learning\Drawing\LessonScene;
use MillStep\Core\Planning\Drawing\Drawing;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Plan\SectionDrawing;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A lesson with its figures computed for the machine, crib and part that it is bound to.
 *
 * @phpstan-import-type Step from LessonFile
 */
final class LessonResource extends JsonResource
{
    public static $wrap = null;

    /** What its drawings are made of; nothing where its figures cannot be computed. */
    private LessonScene $scene;

    private readonly LessonCases $cases;

    public function __construct(private readonly Lesson $lesson, private readonly ?Progress $progress)
    {
        parent::__construct($lesson);
        $this->scene = new LessonScene(null);
        $this->cases = app(LessonCases::class);
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
            // A lesson that was taken in before there was a frame has none.
            'frame' => $this->lesson->frame ?? LessonFrame::of([]),
            'part' => $this->part(),
            'machine' => $this->machine(),
            'own_sizes' => $this->cases->ownSizes($this->lesson, $this->progress?->learner),
            ...$this->figures(),
            'steps' => array_map($this->step(...), $this->lesson->steps),
            'plans' => Attachment::plansOf('lesson', $this->lesson->code),
            'progress' => $this->progress === null ? null : [
                'open' => app(GuidedLessons::class)->openTo($this->progress->learner, $this->lesson->code),
                'id' => $this->progress->id,
                'next' => $this->progress->nextStep(),
                'notes' => $this->progress->notes,
                'completed_at' => $this->progress->completed_at?->toIso8601ZuluString(),
            ],
        ];
    }

    private function touch(): ?Length
    {
        $touch = $this->progress?->reading('scale_touch');

        return $touch === null ? null : Length::mm($touch);
    }

    /** @return array{figures: object, drawing: array<string, mixed>|null, fault: array<string, mixed>|null} */
    private function figures(): array
    {
        try {
            $case = $this->cases->case($this->lesson, $this->progress?->learner);
            $part = $this->cases->part($this->lesson, $this->progress?->learner);
            $this->scene = new LessonScene($case?->hole, $this->touch(), $part?->shape($this->lesson->hole), $case);
        } catch (CoreException $fault) {
            // The lesson is still worth reading; what cannot be computed says why.
            return ['figures' => (object) [], 'drawing' => null, 'fault' => $fault->says->toArray()];
        }

        return [
            'figures' => (object) array_map(
                static fn (Figure $figure): array => $figure->toArray(),
                $this->cases->figures($this->lesson, $case, $this->progress),
            ),
            'drawing' => $case?->hole === null ? null
                : SectionDrawing::of($case->plan, $case->thickness->inMm(), $case->wanted->through ?? true)?->toArray(),
            'fault' => null,
        ];
    }

    /** @return array<string, mixed>|null */
    private function part(): ?array
    {
        $part = $this->cases->part($this->lesson, $this->progress?->learner);

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
        $machine = $this->cases->machine($this->lesson, $this->progress?->learner);

        return $machine === null ? null : [
            'name' => $machine->name,
            'speeds_rpm' => $machine->speeds_rpm,
            'speed_change' => $machine->speed_change,
            'depth_scale' => $machine->depth_scale,
            'crib' => app(ShopAtHand::class)->cribNames($this->cases->cribs($this->lesson, $this->progress?->learner)),
            'in_service' => $machine->in_service,
        ];
    }

    /**
     * @param  Step  $step
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
                : $this->shuffled($step['key'], array_map(
                    static fn (array $option): array => ['id' => $option['id'], 'text' => $option['text']],
                    $step['choice'],
                )),
            'drawing' => $this->drawing($step)?->toArray(),
            'done' => $this->progress?->isDone($step['key']) ?? false,
            'answer' => $answer === null ? null : [...$answer, 'said' => $chosen['answer'] ?? null],
            'sent_back' => $hold instanceof HoldPoint && $hold->opened_at === null && $hold->sent_back_at !== null
                ? $hold->sent_back_reason : null,
            'hold_id' => $hold instanceof HoldPoint && $hold->waits() ? $hold->id : null,
            'waiting_since' => $hold instanceof HoldPoint && $hold->waits() ? $hold->asked_at->toIso8601ZuluString() : null,
        ];
    }

    /**
     * What would tell a learner the answer is shown once it was given.
     *
     * @param  Step  $step
     */
    private function drawing(array $step): ?Drawing
    {
        $name = $step['drawing'] ?? null;
        $asks = $step['choice'] !== null || $step['reading'] !== null;

        return $name === null || ($asks && LessonDrawings::tells($name) && $this->progress?->isDone($step['key']) === false)
            ? null : LessonDrawings::draw($name, $this->scene);
    }

    /**
     * In an order of this learner's own, which stays as it is: the seed is the recorded course and the step.
     *
     * @template T
     *
     * @param  list<T>  $options
     * @return list<T>
     */
    private function shuffled(string $step, array $options): array
    {
        $seed = crc32(($this->progress->id ?? $this->lesson->code.$this->lesson->version).$step);

        return array_values((new Randomizer(new Mt19937($seed)))->shuffleArray($options));
    }
}
