<?php

declare(strict_types=1);

namespace MillStep\Core\Learning\Check\Question;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Measure\Size;

/** The values of a figure as drawn, and what comes out of them. */
final readonly class DrawnFigure implements AnswerKey
{
    /** What may be written behind a plain number, by unit, in either language. */
    private const SAID = [
        'rpm' => 'rpm|rev\/min|1\/min|min-1', 'turns' => 'turns?|vueltas?', 'count' => '', 'percent' => '%', 'newton' => 'n',
        'divisions' => 'div(?:isions?)?\.?|divisiones|rayas?|lines?', 'newton_metre' => 'n\W?m', 'minutes' => 'min(?:utes?|utos?)?\.?',
    ];

    /** @param  array<string, float>  $values as drawn */
    public function __construct(public array $values, public float $answer, public string $unit, public float $tolerance)
    {
    }

    /** @return list<string> the units in which a figure may be asked for */
    public static function units(): array
    {
        return ['mm', ...array_keys(self::SAID)];
    }

    /** Lengths may be typed in any unit; other figures are plain numbers, with their unit or without. */
    public function accepts(array $answer, string $units): bool
    {
        $typed = $answer[0] ?? '';
        try {
            $value = $this->unit === 'mm' ? Size::parse($typed, $units)->diameter->inMm() : $this->number($typed);
        } catch (InvalidInput) {
            return false;
        }

        return $value !== null && abs($value - $this->answer) <= $this->tolerance + 1e-9;
    }

    public function right(): array
    {
        return [(string) $this->answer.($this->unit === 'mm' ? ' mm' : '')];
    }

    public function shown(): array
    {
        return ['unit' => $this->unit, 'values' => (object) $this->values];
    }

    public function inWords(): string
    {
        return '{answer}';
    }

    public function replies(array $answer): array
    {
        return [];
    }

    private function number(string $typed): ?float
    {
        $unit = self::SAID[$this->unit] ?? '';

        return preg_match("/^\\s*(\\d{1,7}(?:[.,]\\d{1,15})?)\\s*(?:$unit)?\\s*$/iu", $typed, $m) === 1
            ? (float) str_replace(',', '.', $m[1]) : null;
    }
}
