<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** A machine's own scale: what its lines stand for, and how a reading on it is said. */
final readonly class Scale
{
    /** @param  'mm'|'in'  $unit */
    private function __construct(public string $unit, public Length $graduation)
    {
    }

    /** @param  'mm'|'in'  $unit */
    public static function of(string $unit, Length $graduation): self
    {
        return new self($unit, $graduation);
    }

    /**
     * `{unit, graduation_mm}`; without a graduation whole millimetres or sixteenths of an inch.
     *
     * @throws InvalidInput
     */
    public static function fromFields(Fields $fields): self
    {
        $unit = $fields->choice('unit', ['mm', 'in'], 'mm');

        return new self($unit, $fields->length('graduation_mm', $unit === 'in' ? 25.4 / 16 : 1));
    }

    /** The line at the length or the next one above it. */
    public function up(Length $length): Length
    {
        return $this->graduation->times((int) ceil($length->ratioTo($this->graduation) - 1e-9));
    }

    /** The line at the length or the next one below it. */
    public function down(Length $length): Length
    {
        return $this->graduation->times((int) floor($length->ratioTo($this->graduation) + 1e-9));
    }

    /** As it is read off: `12 mm`, `12.5 mm`, `15/32 in`, `0.472 in`. */
    public function name(Length $reading): string
    {
        if ($this->unit === 'mm') {
            return self::decimal($reading->inMm(), $this->graduation->inMm()).' mm';
        }
        foreach ([1, 2, 4, 8, 16, 32, 64] as $parts) {
            if ($this->graduation->equals(Length::inchFraction(1, $parts))) {
                return self::fraction((int) round($reading->inInches() * $parts), $parts).' in';
            }
        }

        return self::decimal($reading->inInches(), $this->graduation->inInches()).' in';
    }

    private static function decimal(float $value, float $step): string
    {
        return number_format($value, max(0, (int) ceil(-log10($step) - 1e-9)), '.', '');
    }

    private static function fraction(int $lines, int $parts): string
    {
        while ($parts > 1 && $lines % 2 === 0) {
            $lines = intdiv($lines, 2);
            $parts = intdiv($parts, 2);
        }
        $whole = intdiv($lines, $parts);
        $rest = $lines % $parts;

        return match (true) {
            $rest === 0 => (string) $whole,
            $whole === 0 => "$rest/$parts",
            default => "$whole-$rest/$parts",
        };
    }
}
