<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use Random\Randomizer;

/** One question of a bank. Drawing it settles the order of its choices, the values of its figures, the faults of its scene. */
abstract readonly class Question
{
    final private function __construct(
        public string $id,
        public string $lesson,
        public bool $critical,
        protected string $text,
        protected string $explanation,
        private Asked $asked,
    ) {
    }

    /** As a bank's file calls it, and its words. Registered in QuestionKinds. */
    abstract public static function kind(): string;

    /** @throws InvalidInput */
    abstract protected static function asked(Fields $fields): Asked;

    /** @throws InvalidInput naming what is missing or at odds */
    final public static function fromFields(Fields $fields): static
    {
        return new static(
            $fields->text('id'),
            $fields->text('lesson'),
            $fields->flag('critical', false),
            $fields->text('text'),
            $fields->text('explanation'),
            static::asked($fields),
        );
    }

    /** @throws \MillStep\Core\Border\CoreException when the bank's values make no sense to the core */
    final public function draw(Randomizer $random): DrawnQuestion
    {
        return new DrawnQuestion(
            $this->id,
            static::kind(),
            $this->lesson,
            $this->critical,
            $this->text,
            $this->explanation,
            $this->asked->draw($random),
        );
    }
}
