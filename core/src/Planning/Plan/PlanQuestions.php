<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Plan;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Measure\Size;
use MillStep\Core\Planning\Figure;
use MillStep\Core\Planning\Step\PlanStep;
use MillStep\Core\Planning\Step\Standing;
use MillStep\Core\Planning\Step\Steps;
use MillStep\Core\Workshop\MachineSpec;

/**
 * A plan with its answers hidden: which figures the learner works out, and whether what was typed is right. What
 * would give an answer away is left out of what is shown.
 *
 * @phpstan-type Question array{key: string, operation: int, kind: string, field: string, unit: 'mm'|'rpm'|'divisions'}
 */
final readonly class PlanQuestions
{
    /** How near is right: a drill is the very drill, a depth is read to a tenth. */
    private const DEPTH_TOLERANCE_MM = 0.1;

    private const DIAMETER_TOLERANCE_MM = 0.005;

    /** On a machine whose speed is set by a dial, a twentieth off is as good. */
    private const RANGE_TOLERANCE = 0.05;

    public function __construct(private PlanResult $plan, private MachineSpec $machine)
    {
    }

    /** @return list<Question> in working order */
    public function all(): array
    {
        $questions = [];
        foreach ($this->plan->operations as $index => $step) {
            $values = $step->toArray();
            foreach (Steps::kind($step->kind)::asked() as $field => $unit) {
                if (isset($values[$field]) && $step->figure($field) !== null) {
                    $questions[] = [
                        'key' => "$index.$field",
                        'operation' => $index,
                        'kind' => $step->kind,
                        'field' => $field,
                        'unit' => $unit,
                    ];
                }
            }
        }

        return $questions;
    }

    /**
     * The operations without their answers: what is done, and what has to be watched.
     *
     * @return list<array{kind: string, tool: Message|null, cautions: list<Message>, dangers: list<Message>,
     *     standing: list<string>, lubricant: Message|string|null}>
     */
    public function shown(): array
    {
        return array_map(static fn (PlanStep $step): array => [
            'kind' => $step->kind,
            // A drill's name is its size.
            'tool' => Steps::kind($step->kind)::toolTells() ? null : $step->tool,
            'cautions' => array_map(self::untold(...), $step->cautions),
            'dangers' => $step->dangers,
            'standing' => array_map(static fn (Standing $always): string => $always->value, $step->standing),
            'lubricant' => $step->lubricant,
        ], $this->plan->operations);
    }

    /** How a speed is changed belongs before the step; which speed is the question. */
    private static function untold(Message $caution): Message
    {
        return str_starts_with($caution->code, PlanStep::SETS_SPEED)
            ? Message::of('planning.caution.untold_speed_'.substr($caution->code, strlen(PlanStep::SETS_SPEED)))
            : $caution;
    }

    /**
     * @param  'mm'|'in'  $units  of a length that names none
     *
     * @throws InvalidInput naming `key` when nothing like it is asked, `answer` when it cannot be understood
     */
    public function judge(string $key, string $typed, string $units): bool
    {
        $figure = $this->figure($key);
        $right = (float) $figure->value;
        if ($figure->unit === 'mm') {
            $tolerance = match (explode('.', $key)[1] ?? '') {
                'diameter_mm' => self::DIAMETER_TOLERANCE_MM,
                'reading_mm' => $this->machine->scale->graduation->inMm(),
                default => self::DEPTH_TOLERANCE_MM,
            };
            try {
                return abs(Size::parse($typed, $units)->diameter->minus(Length::mm($right))->inMm()) <= $tolerance + 1e-9;
            } catch (InvalidInput $fault) {
                throw InvalidInput::named('answer', $fault->says);
            }
        }
        if (preg_match('/^\s*(\d{1,6}(?:[.,]\d{1,6})?)\s*(?:rpm|rev\/min|divisions|div)?\s*$/i', $typed, $found) !== 1) {
            throw InvalidInput::at('answer', 'planning.plain_number');
        }
        $tolerance = $figure->unit === 'rpm' && $this->machine->speeds->isRange() ? self::RANGE_TOLERANCE * $right : 0.5;

        return abs((float) str_replace(',', '.', $found[1]) - $right) <= $tolerance;
    }

    /**
     * The figure behind a question, with its working.
     *
     * @throws InvalidInput
     */
    public function figure(string $key): Figure
    {
        foreach ($this->all() as $question) {
            if ($question['key'] === $key) {
                $figure = $this->plan->operations[$question['operation']]->figure($question['field']);
                if ($figure !== null) {
                    return $figure;
                }
            }
        }
        throw InvalidInput::at('key', 'planning.not_asked');
    }
}
