<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use Random\Randomizer;

/** Options or steps, each with what is said to whoever takes it wrongly. */
final readonly class Choices implements AnswerKey, Asked
{
    /**
     * @param  list<array{id: string, text: string, reply: string}>  $choices  as shown
     * @param  list<string>  $right  ids
     * @param  bool  $inOrder  whether the order of the answer counts
     */
    private function __construct(private array $choices, private array $right, private bool $inOrder)
    {
    }

    /** @throws InvalidInput when two have the same id */
    public static function options(Fields $fields): self
    {
        [$choices, $right] = self::read($fields, 'options');

        return new self($choices, $right, false);
    }

    /** Steps in their right order. @throws InvalidInput when two have the same id */
    public static function steps(Fields $fields): self
    {
        [$choices] = self::read($fields, 'steps');

        return new self($choices, array_column($choices, 'id'), true);
    }

    /**
     * @return array{list<array{id: string, text: string, reply: string}>, list<string>}
     *
     * @throws InvalidInput
     */
    private static function read(Fields $fields, string $key): array
    {
        $choices = $right = [];
        foreach ($fields->objects($key, 2) as $choice) {
            $id = $choice->text('id');
            if (in_array($id, array_column($choices, 'id'), true)) {
                throw $fields->fault($key, 'learning.choice_twice', ['id' => $id]);
            }
            $choices[] = ['id' => $id, 'text' => $choice->text('text'), 'reply' => $choice->text('reply', '')];
            if ($choice->flag('right', false)) {
                $right[] = $id;
            }
        }

        return [$choices, $right];
    }

    /** How many are right. */
    public function count(): int
    {
        return count($this->right);
    }

    /** How many there are. */
    public function outOf(): int
    {
        return count($this->choices);
    }

    public function draw(Randomizer $random): self
    {
        $choices = $random->shuffleArray($this->choices);
        // Steps laid out in their right order would be no question.
        while ($this->inOrder && array_column($choices, 'id') === $this->right) {
            $choices = $random->shuffleArray($this->choices);
        }

        return new self($choices, $this->right, $this->inOrder);
    }

    public function accepts(array $answer, string $units): bool
    {
        return $this->inOrder ? $answer === $this->right : Chosen::same($answer, $this->right);
    }

    public function right(): array
    {
        return $this->right;
    }

    public function shown(): array
    {
        return ['choices' => array_map(
            static fn (array $choice): array => ['id' => $choice['id'], 'text' => $choice['text']],
            $this->choices,
        )];
    }

    public function inWords(): string
    {
        $texts = array_column($this->choices, 'text', 'id');

        return implode($this->inOrder ? ' → ' : ' · ', array_map(static fn (string $id): string => $texts[$id], $this->right));
    }

    public function replies(array $answer): array
    {
        $wrong = array_filter($this->choices, fn (array $choice): bool => ! $this->inOrder && $choice['reply'] !== ''
            && in_array($choice['id'], $answer, true) && ! in_array($choice['id'], $this->right, true));

        return array_values(array_column($wrong, 'reply'));
    }
}
