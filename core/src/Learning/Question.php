<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use Random\Randomizer;

/** One question of a bank; drawing it settles the order of its choices and the values of its figures. */
final readonly class Question
{
    /**
     * @param  list<array{id: string, text: string}>  $choices  options, or steps in their right order
     * @param  list<string>  $right  ids: the right option, or all steps in order; empty for a worked figure
     */
    private function __construct(
        public string $id,
        public QuestionKind $kind,
        public string $lesson,
        public bool $critical,
        public string $text,
        public string $explanation,
        private array $choices,
        private array $right,
        private ?WorkedFigure $figure,
    ) {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $kind = QuestionKind::from($fields->choice('kind', array_column(QuestionKind::cases(), 'value')));
        $choices = $right = [];
        if ($kind !== QuestionKind::Worked) {
            foreach ($fields->objects($kind === QuestionKind::One ? 'options' : 'steps', 2) as $choice) {
                $choices[] = ['id' => $choice->text('id'), 'text' => $choice->text('text')];
                if ($kind === QuestionKind::Order || $choice->flag('right', false)) {
                    $right[] = $choice->text('id');
                }
            }
            if ($kind === QuestionKind::One && count($right) !== 1) {
                throw $fields->fault('options', 'learning.one_right_answer');
            }
        }

        return new self(
            $fields->text('id'),
            $kind,
            $fields->text('lesson'),
            $fields->flag('critical', false),
            $fields->text('text'),
            $fields->text('explanation'),
            $choices,
            $right,
            $kind === QuestionKind::Worked ? WorkedFigure::fromFields($fields->object('figure')) : null,
        );
    }

    public function draw(Randomizer $random): DrawnQuestion
    {
        $figure = $this->figure?->draw($random);
        $choices = $random->shuffleArray($this->choices);
        // Steps laid out in their right order would be no question.
        while ($this->kind === QuestionKind::Order && array_column($choices, 'id') === $this->right) {
            $choices = $random->shuffleArray($this->choices);
        }

        return new DrawnQuestion(
            $this->id,
            $this->kind,
            $this->lesson,
            $this->critical,
            $figure === null ? $this->text : $figure->fill($this->text),
            $figure === null ? $this->explanation : $figure->fill($this->explanation),
            $choices,
            $this->right,
            $figure,
        );
    }
}
