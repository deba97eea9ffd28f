<?php

declare(strict_types=1);

namespace App\Learning\Http;

use App\Learning\CheckAttempt;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use MillStep\Core\Learning\DrawnQuestion;

/**
 * A paper, and once it is handed in what came of it. Right answers leave the server only once it is passed: what was
 * wrong in a failed one is drawn again, and the lesson is where the answer stands.
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
            ],
            'learner_id' => $this->learner_id,
            'seed' => $this->seed,
            'questions' => array_map(static fn (DrawnQuestion $question): array => $question->forLearner(), $this->paper()->questions),
            'answers' => $this->answers === null ? null : (object) $this->answers,
            'result' => self::shown($this->result),
            'submitted_at' => $this->submitted_at?->toIso8601ZuluString(),
        ];
    }

    /**
     * @param  array<string, mixed>|null  $result
     * @return array<string, mixed>|null
     */
    private static function shown(?array $result): ?array
    {
        if ($result === null || $result['passed'] === true) {
            return $result;
        }
        /** @var list<array<string, mixed>> $lines */
        $lines = $result['lines'];

        return [
            ...$result,
            'lines' => array_map(static fn (array $line): array => [...$line, 'right_answer' => null, 'explanation' => null], $lines),
        ];
    }
}
