<?php

declare(strict_types=1);

namespace App\Assessment\Http;

use App\Assessment\SheetAttempt;
use App\Assessment\Viewer;
use MillStep\Core\Assessment\Task;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;

/** What the learner works out from their own dimensions; the key stands beside it for whoever assesses, and for all in the end. */
final readonly class TasksShown
{
    public function __construct(private SheetAttempt $attempt, private Viewer $viewer)
    {
    }

    /**
     * @return list<array{id: string, text: string, criterion: string|null, unit: string, answer: string|null, right: bool|null,
     *     key: float|null}>
     */
    public function toArray(): array
    {
        $personal = $this->attempt->personal();
        $seesKey = $this->viewer !== Viewer::Learner || ! $this->attempt->isOpen();

        return array_map(function (array $task) use ($personal, $seesKey): array {
            $core = Task::fromFields(Fields::of($task));
            $answer = $this->attempt->answers[$task['id']] ?? null;

            return [
                'id' => $task['id'], 'text' => $task['text'], 'criterion' => $task['criterion'] ?? null, 'unit' => $core->unit,
                'answer' => $answer,
                'right' => $seesKey && $answer !== null ? self::right($core, $answer, $personal) : null,
                'key' => $seesKey ? $core->key($personal) : null,
            ];
        }, $this->attempt->sheet->tasks);
    }

    /** @param  array<string, \MillStep\Core\Border\Length>  $personal */
    private static function right(Task $task, string $answer, array $personal): bool
    {
        try {
            return $task->isRight($answer, $personal, 'mm');
        } catch (CoreException) {
            return false;
        }
    }
}
