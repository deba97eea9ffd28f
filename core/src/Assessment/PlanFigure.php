<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Operations;

/** A figure that an operation of the core gives, from what is given and from the learner's own dimensions: bound, never typed. */
final readonly class PlanFigure
{
    /**
     * @param  array<array-key, mixed>  $given
     * @param  array<string, string>  $from  the operation's field => a personal dimension
     */
    private function __construct(private string $operation, private array $given, private array $from, private string $answer)
    {
    }

    /**
     * @param  Fields  $fields  `{operation, given?, from?: {field: dimension}, answer}`
     *
     * @throws InvalidInput for an operation that there is not
     */
    public static function fromFields(Fields $fields): self
    {
        $from = $fields->objectOrEmpty('from');

        return new self(
            $fields->choice('operation', array_keys(Operations::LIST)),
            $fields->objectOrEmpty('given')->toArray(),
            array_combine($from->keys(), array_map(static fn (string $key): string => $from->text($key), $from->keys())),
            $fields->text('answer'),
        );
    }

    /**
     * @param  array<string, Length>  $personal
     *
     * @throws CoreException when the dimensions make no sense to the operation, or it has no such answer
     */
    public function of(array $personal): float
    {
        $values = [];
        foreach ($this->from as $field => $dimension) {
            $values[$field] = ($personal[$dimension] ?? throw InvalidInput::at('from', 'assessment.no_dimension'))->inMm();
        }
        $found = Operations::compute($this->operation, [...$this->given, ...$values])->toArray()[$this->answer] ?? null;

        return is_int($found) || is_float($found) ? (float) $found
            : throw InvalidInput::at('answer', 'assessment.no_figure', ['answer' => $this->answer]);
    }
}
