<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Message;
use MillStep\Core\Setup\Scene\Scene;

/** A scene as its seed drew it; an answer names the places that are pointed at. */
final readonly class DrawnScene implements AnswerKey
{
    public function __construct(private Scene $scene)
    {
    }

    public function accepts(array $answer, string $units): bool
    {
        return Chosen::same($answer, $this->scene->wrongPlaces());
    }

    public function right(): array
    {
        return $this->scene->wrongPlaces();
    }

    public function shown(): array
    {
        return ['scene' => ['drawing' => $this->scene->drawing()->toArray(), 'places' => $this->scene->places()]];
    }

    /** Each thing that is wrong, with its figures, as the review says it. */
    public function inWords(): Message
    {
        return Message::of('learning.hazards', ['sentences' => $this->scene->reasons()]);
    }

    public function replies(array $answer): array
    {
        return [];
    }
}
