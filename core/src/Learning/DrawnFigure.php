<?php

declare(strict_types=1);

namespace MillStep\Core\Learning;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Measure\Size;

final readonly class DrawnFigure
{
    /** @param  array<string, float>  $values as drawn */
    public function __construct(
        public array $values,
        public float $answer,
        public string $unit,
        public float $tolerance,
    ) {
    }

    /** Puts the drawn values, and the answer, into a text's {placeholders}. */
    public function fill(string $text): string
    {
        $replace = ['{answer}' => self::plain(round($this->answer, $this->unit === 'rpm' ? 0 : 2))];
        foreach ($this->values as $key => $value) {
            $replace['{'.$key.'}'] = self::plain($value);
        }

        return strtr($text, $replace);
    }

    /**
     * Lengths may be typed in any unit; other figures are plain numbers.
     *
     * @param  'mm'|'in'  $units  of a length that names none: those in which the learner reads
     */
    public function accepts(string $typed, string $units = 'mm'): bool
    {
        try {
            $value = $this->unit === 'mm' ? Size::parse($typed, $units)->diameter->inMm() : self::number($typed);
        } catch (InvalidInput) {
            return false;
        }

        return $value !== null && abs($value - $this->answer) <= $this->tolerance + 1e-9;
    }

    private static function number(string $typed): ?float
    {
        return preg_match('/^\s*(\d{1,7}(?:[.,]\d{1,15})?)\s*(?:rpm|rev\/min|turns?)?\s*$/i', $typed, $m) === 1
            ? (float) str_replace(',', '.', $m[1]) : null;
    }

    private static function plain(float $value): string
    {
        return rtrim(rtrim(number_format($value, 3, '.', ''), '0'), '.');
    }
}
