<?php

declare(strict_types=1);

namespace App\Learning\Http;

use App\Learning\CheckAttempt;
use App\Support\Given;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use MillStep\Core\Learning\Check\Question\DrawnQuestion;

/**
 * A paper, and once it is handed in what came of it. Right answers leave the server only once it is passed: what was
 * wrong in a failed one is drawn again. What is said to a wrong choice is said at once, and the lesson has the rest.
 *
 * @mixin CheckAttempt
 */
final class CheckAttemptResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'check' => [
                'code' => $this->check->code,
                'title' => $this->check->title,
                'pass_mark_percent' => $this->check->pass_mark_percent,
                'minutes' => $this->check->minutes,
            ],
            'learner_id' => $this->learner_id,
            'learner' => $this->learner->name,
            'on_paper' => $this->paper_by !== null,
            'paper_by' => $this->printer?->name,
            'typed_by' => $this->typist?->name,
            'seed' => $this->seed,
            'questions' => array_map(static fn (DrawnQuestion $question): array => $question->forLearner(), $this->paper()->questions),
            'answers' => $this->answers === null ? null : (object) $this->answers,
            'result' => self::shown($this->result),
            'started_at' => $this->started_at->toIso8601ZuluString(),
            'ends_at' => $this->endsAt()?->toIso8601ZuluString(),
            'submitted_at' => $this->submitted_at?->toIso8601ZuluString(),
        ];
    }

    /**
     * @param  array<string, mixed>|null  $result
     * @return array<string, mixed>|null
     */
    private static function shown(?array $result): ?array
    {
        if ($result === null) {
            return null;
        }
        /** @var list<array<string, mixed>> $lines */
        $lines = $result['lines'];
        $hidden = $result['passed'] === true ? [] : ['right_answer' => null, 'explanation' => null, 'answer' => null];

        return [
            // What papers of earlier versions of this program did not keep.
            'late' => false,
            ...$result,
            'lines' => array_map(static fn (array $line): array => [
                'replies' => [], 'answer' => null, ...$line, 'values' => (object) Given::fields($line['values'] ?? null), ...$hidden,
            ], $lines),
        ];
    }
}
